import { isBefore, type Stage } from '#core/exercise/attempt/stages'
import { isDead } from '#core/testing/kinds/kinds'
import type { WorkView } from '#schemas/views'
import type { ThreadStage } from './thread-stage'

const filled = (view: WorkView, keys: readonly string[]) =>
  keys.filter((key) => (view.readings as Record<string, string>)[key]?.trim()).length

/** The thread of an attempt as its apprentice sees it. */
export function workStages(view: WorkView, answered: number, steps: number): ThreadStage[] {
  const { stage } = view
  const state = (own: Stage): ThreadStage['state'] =>
    stage === own ? 'now' : isBefore(stage, own) ? 'todo' : 'done'
  const asked = view.board
    ? view.board.tests.filter((test) => test.isAsked).map(({ key }) => key)
    : view.readingKeys
  const dead = asked.filter(isDead)
  const live = asked.filter((key) => !isDead(key))
  const permit = view.events.findLast((event) => event.act === 'permit')
  const refusal = view.events.findLast((event) => event.act === 'refuse')
  const wired: ThreadStage[] =
    view.exercise.tests === null
      ? []
      : [
          {
            key: 'dead',
            name: 'Dead tests',
            state: state('dead'),
            progress: dead.length ? filled(view, dead) / dead.length : 0,
            note: stage === 'dead' ? (refusal ? 'put right, ask again' : 'you are here') : undefined,
          },
          {
            key: 'permission',
            name: 'Permission',
            state: permit ? 'signed' : stage === 'permission' ? 'now' : 'shut',
            note: permit ? permit.by : stage === 'permission' ? 'assessor told' : 'closed',
          },
          {
            key: 'live',
            name: 'Live tests',
            state: state('live'),
            progress: live.length ? filled(view, live) / live.length : 0,
          },
        ]
  return [
    { key: 'task', name: 'Task', note: view.exercise.code, state: 'done' },
    {
      key: 'design',
      name: 'Design',
      note: stage === 'design' ? `${answered} of ${steps}` : 'handed in',
      state: state('design'),
      progress: answered / steps,
    },
    ...wired,
    {
      key: 'decision',
      name: 'Decision',
      state: stage === 'released' ? 'signed' : isBefore(stage, 'handedIn') ? 'todo' : 'now',
      note: stage === 'released' ? view.decision?.by : undefined,
    },
  ]
}
