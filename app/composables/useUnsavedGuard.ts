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
  const onKey = (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key !== 's') return
    event.preventDefault()
    if (isUnsaved()) save()
  }
  const onLeave = (event: BeforeUnloadEvent) => isUnsaved() && event.preventDefault()
  onMounted(() => {
    window.addEventListener('keydown', onKey)
    window.addEventListener('beforeunload', onLeave)
  })
  onBeforeUnmount(() => {
    window.removeEventListener('keydown', onKey)
    window.removeEventListener('beforeunload', onLeave)
  })
}
