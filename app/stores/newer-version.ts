/** A newer version of the app is on this device and waits to be used. */
export const useNewerVersion = defineStore('newer-version', () => {
  const isReady = ref(false)
  const isTaken = ref(false)
  let use = (): void => undefined

  function offer(how: () => void): void {
    use = how
    isReady.value = true
  }
  /** Goes over to it; the page is loaded anew. What was typed is kept on the device. */
  function take(): void {
    isTaken.value = true
    use()
  }
  return { isReady, isTaken, offer, take }
})
