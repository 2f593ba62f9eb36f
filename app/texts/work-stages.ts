import { isBefore, type Stage } from '#core/exercise/attempt/stages'
import { isDead } from '#core/testing/kinds/kinds'
import type { WorkView } from '#schemas/views'
import type { ThreadStage } from './thread-stage'

const filled = (view: WorkView, keys: readonly string[]) =>
  keys.filter((key) => (view.readings as Record<string, string>)[key]?.trim()).length

/** The thread of an attempt as its apprentice sees it. */
export function workStages(view: WorkView, answered: number, steps: number): ThreadStage[] {
  const { stage } = view
  return [
    { key: 'task', name: 'Task', note: view.exercise.code, state: 'done' },
    {
      key: 'design',
      name: 'Design',
      note: stage === 'design' ? `${answered} of ${steps}` : 'handed in',
      state: stateOf(stage, 'design'),
      progress: answered / steps,
    },
    ...(view.exercise.tests === null ? [] : testStages(view)),
    {
      key: 'decision',
      name: 'Decision',
      state: decisionState(stage),
      note: stage === 'released' ? view.decision?.by : undefined,
    },
  ]
}

function stateOf(stage: Stage, own: Stage): ThreadStage['state'] {
  if (stage === own) return 'now'
  return isBefore(stage, own) ? 'todo' : 'done'
}

function decisionState(stage: Stage): ThreadStage['state'] {
  if (stage === 'released') return 'signed'
  return isBefore(stage, 'handedIn') ? 'todo' : 'now'
}

/** Dead tests, permission, live tests. */
function testStages(view: WorkView): ThreadStage[] {
  const { stage, events, board, readingKeys } = view
  const asked = board ? board.tests.filter((test) => test.isAsked).map(({ key }) => key) : readingKeys
  const share = (keys: readonly string[]) => (keys.length ? filled(view, keys) / keys.length : 0)
  const isRefused = events.some(({ act }) => act === 'refuse')
  const hint = isRefused ? 'put right, ask again' : 'you are here'
  return [
    {
      key: 'dead',
      name: 'Dead tests',
      state: stateOf(stage, 'dead'),
      progress: share(asked.filter(isDead)),
      note: stage === 'dead' ? hint : undefined,
    },
    { key: 'permission', name: 'Permission', ...permissionStage(view) },
    {
      key: 'live',
      name: 'Live tests',
      state: stateOf(stage, 'live'),
      progress: share(asked.filter((key) => !isDead(key))),
    },
  ]
}

function permissionStage({ stage, events }: WorkView): Pick<ThreadStage, 'state' | 'note'> {
  const permit = events.findLast(({ act }) => act === 'permit')
  if (permit) return { state: 'signed', note: permit.by }
  return stage === 'permission' ? { state: 'now', note: 'assessor told' } : { state: 'shut', note: 'closed' }
}
