const KEY = 'nakshi-cloth'
const isDark = ref(false)

function apply(dark: boolean): void {
  isDark.value = dark
  document.documentElement.classList.toggle('dark', dark)
}

/** Day cloth or indigo cloth; remembered on the device, the system's wish at first. */
export function useTheme() {
  onMounted(() => {
    const kept = localStorage.getItem(KEY)
    apply(kept ? kept === 'dark' : window.matchMedia('(prefers-color-scheme: dark)').matches)
  })
  function toggle() {
    apply(!isDark.value)
    localStorage.setItem(KEY, isDark.value ? 'dark' : 'light')
  }
  return { isDark: readonly(isDark), toggle }
}
