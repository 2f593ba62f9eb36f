/** One act at a time that the server may refuse: busy while it runs, a refusal shown in its own words. */
export function useAct() {
  const isBusy = ref(false)
  /** True when it was done. A second tap while it runs does nothing. */
  async function act(work: () => Promise<unknown>): Promise<boolean> {
    if (isBusy.value) return false
    isBusy.value = true
    try {
      await work()
      return true
    } catch (error) {
      showProblem(error)
      return false
    } finally {
      isBusy.value = false
    }
  }
  return { isBusy, act }
}
