import { useDark, useToggle } from '@vueuse/core'

/** Light or dark; remembered on the device, the system's wish at first. */
export function useTheme() {
  const isDark = useDark({ storageKey: 'nakshi-cloth', valueLight: 'light', initialValue: 'auto' })
  return { isDark: readonly(isDark), toggle: useToggle(isDark) }
}
