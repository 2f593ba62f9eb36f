import { useEventListener } from '@vueuse/core'

/** Ctrl+S saves; leaving with unsaved changes asks first. */
export function useUnsavedGuard(isUnsaved: () => boolean, save: () => void) {
  onBeforeRouteLeave(async (to) => {
    if (!isUnsaved() || to.path.startsWith('/exercises/')) return true
    return isSure('This exercise has changes that are not saved.', 'Leave without saving?', {
      yes: 'Leave',
      no: 'Stay',
    })
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
