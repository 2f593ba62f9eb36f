import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { useMarking } from './useMarking'

interface MarkingActs {
  readonly desk: ReturnType<typeof useMarking>
  /** The sheet cannot be changed any more. */
  readonly isHeld: () => boolean
  readonly move: (by: number) => void
  readonly moveToFault: () => void
  readonly moveScope: (by: number) => void
  readonly toggleOpen: () => void
  readonly toggleGiven: () => void
  /** Changes the mark of the chosen line. */
  readonly change: () => void
  readonly selected: () => ItemKey | ''
  readonly takeComment: (n: number) => void
  readonly next: () => Promise<void>
  readonly sideways: (to: number | null | undefined) => unknown
}

/** The marking desk by keyboard. */
export function useMarkingKeys(acts: MarkingActs): void {
  const { desk, isHeld, move, moveToFault, moveScope, toggleOpen, toggleGiven, change } = acts
  const { takeComment, next, sideways } = acts
  const clearChange = () => {
    const item = acts.selected()
    if (item) void desk.clearOverride(item)
  }
  useShortcuts([
    { keys: 'j', label: 'J', name: 'next line', run: () => move(1) },
    { keys: 'k', label: 'K', name: 'line before', run: () => move(-1) },
    { keys: 'w', label: 'W', name: 'next wrong or empty line', run: moveToFault },
    { keys: 'ArrowRight', label: '→', name: 'next circuit or board', run: () => moveScope(1) },
    { keys: 'ArrowLeft', label: '←', name: 'circuit or board before', run: () => moveScope(-1) },
    { keys: 'o', label: 'O', name: 'only what is not simply right', run: toggleOpen },
    { keys: 'g', label: 'G', name: 'what was given', run: toggleGiven },
    {
      keys: 'e',
      label: 'E',
      name: 'change the mark of this line, with a reason',
      run: change,
      isOff: isHeld,
    },
    { keys: 'u', label: 'U', name: 'undo the change on this line', run: () => clearChange(), isOff: isHeld },
    {
      keys: 'f',
      label: 'F',
      name: 'edit the feedback',
      run: () => document.querySelector<HTMLTextAreaElement>('[name=feedback]')?.focus(),
      isOff: isHeld,
    },
    ...[1, 2, 3, 4, 5, 6, 7, 8].map((n) => ({
      keys: String(n),
      label: String(n),
      name: `sentence ${n} of those used before`,
      run: () => takeComment(n),
      isOff: isHeld,
    })),
    { keys: 'd', label: 'D', name: 'decide as shown', run: () => void desk.decide(), isOff: isHeld },
    {
      keys: 'r',
      label: 'R',
      name: 'release to the apprentice',
      run: () => void desk.release(),
      isOff: () => desk.view.value?.attempt.stage !== 'decided',
    },
    { keys: 'n', label: 'N', name: 'next sheet that waits', run: () => void next() },
    {
      keys: '.',
      label: '.',
      name: 'next sheet of this exercise',
      run: () => void sideways(desk.view.value?.next),
    },
    {
      keys: ',',
      label: ',',
      name: 'sheet of this exercise before',
      run: () => void sideways(desk.view.value?.previous),
    },
  ])
}
