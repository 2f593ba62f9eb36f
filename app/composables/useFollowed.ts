import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import { aTaskLater } from '~/utils/a-task-later'

/**
 * A value that follows another one task behind: the key that was pressed is drawn first, and what is computed
 * from it comes afterwards, so that neither waits long for the other. `catchUp` takes the newest at once.
 */
export function useFollowed<T>(source: Readonly<Ref<T>>) {
  const followed = shallowRef(source.value)
  const take = (): void => void (followed.value = source.value)
  const { ask, drop } = aTaskLater(take)
  // Asked once for all that changes together: a source may be costly to look at.
  watch(source, ask)
  onScopeDispose(drop)
  function catchUp(): void {
    drop()
    take()
  }
  return { followed: followed as Readonly<Ref<T>>, catchUp }
}
