const isSettled = ref(false)
let isAwaited = false

/** True once the first page stands and the browser has time: what can wait begins then. */
export function useSettled(): Readonly<Ref<boolean>> {
  if (!isAwaited) {
    isAwaited = true
    onNuxtReady(() => (isSettled.value = true))
  }
  return isSettled
}
