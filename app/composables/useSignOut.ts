/** Signs out; what the server does not have yet is sent first, and told of where it cannot be. */
export function useSignOut() {
  const { callOnce } = useApi()
  const outbox = useOutbox()

  async function mayLeave(): Promise<boolean> {
    await outbox.look()
    if (outbox.mine.length > 0) await outbox.drain()
    const left = outbox.mine
    if (left.length === 0) return true
    const names = [...new Set(left.map(({ about }) => about.what.toLowerCase()))].join(', ')
    return isSure(
      `Not saved yet: ${names}. It stays on this device and is sent when you sign in here again. ` +
        'On another device it is not there.',
      left.length === 1 ? 'One thing has not been saved' : `${left.length} things have not been saved`,
      { yes: 'Sign out all the same', no: 'Stay signed in', isGrave: true },
    )
  }

  async function signOut(): Promise<void> {
    if (!(await mayLeave())) return
    try {
      await callOnce('DELETE', 'session', undefined)
      useSession().take({
        person: null,
        needsSetUp: false,
        isCollegeOffered: false,
        isLocked: false,
        lockMinutes: 0,
        news: 0,
      })
      location.assign('/')
    } catch (error) {
      showProblem(error)
    }
  }
  return { signOut }
}
