import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'

/**
 * A value that follows another one task behind: the key that was pressed is drawn first, and what is computed
 * from it comes afterwards, so that neither waits long for the other. `catchUp` takes the newest at once.
 */
export function useFollowed<T>(source: Readonly<Ref<T>>) {
  const followed = shallowRef(source.value)
  let task: ReturnType<typeof setTimeout> | undefined
  function catchUp(): void {
    clearTimeout(task)
    task = undefined
    followed.value = source.value
  }
  watch(source, () => (task ??= setTimeout(catchUp)), { flush: 'sync' })
  onScopeDispose(() => clearTimeout(task))
  return { followed: followed as Readonly<Ref<T>>, catchUp }
}
