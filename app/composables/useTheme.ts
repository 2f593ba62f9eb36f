import { useDark, useToggle } from '@vueuse/core'

/** Light or dark; remembered on the device, the system's wish at first. */
export function useTheme() {
  const isDark = useDark({
    storageKey: 'nakshi-cloth',
    valueLight: 'light',
    initialValue: 'auto',
    // Holding transitions back asks for every style at once, when the page is first drawn.
    disableTransition: false,
  })
  return { isDark: readonly(isDark), toggle: useToggle(isDark) }
}
