import { useEventListener } from '@vueuse/core'

/** Ctrl+S saves; leaving with unsaved changes asks first. */
export function useUnsavedGuard(isUnsaved: () => boolean, save: () => void) {
  onBeforeRouteLeave(async (to) => {
    if (!isUnsaved() || to.path.startsWith('/exercises/')) return true
    return ElMessageBox.confirm('This exercise has changes that are not saved.', 'Leave without saving?', {
      confirmButtonText: 'Leave',
      cancelButtonText: 'Stay',
    }).then(
      () => true,
      () => false,
    )
  })
  useEventListener('keydown', (event) => {
    if (!(event.ctrlKey || event.metaKey) || event.key !== 's') return
    event.preventDefault()
    if (isUnsaved()) save()
  })
  useEventListener('beforeunload', (event) => {
    if (isUnsaved()) event.preventDefault()
  })
}
