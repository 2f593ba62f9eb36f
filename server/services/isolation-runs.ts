import { randomInt } from 'node:crypto'
import { faceOf } from '#core/bay/layout/face'
import type { DevicePart } from '#core/bay/model/rig'
import { moveKey, type Move } from '#core/isolation/trainer/move'
import { movesAt } from '#core/isolation/trainer/moves-at'
import { MOST_SEED, judgeRun, nextHint, replay } from '#core/isolation/trainer/run'
import { securedIn, workPointOf } from '#core/isolation/trainer/seen'
import { SCENARIO_CODES, isScenario, levelOf } from '#core/isolation/trainer/scenarios/scenarios'
import type { TrainerState } from '#core/isolation/trainer/state'
import { showsLive } from '#core/isolation/trainer/test-point'
import { indexParts, terminalWords } from '#core/bay/model/terminals'
import { ACT_TEXT, shownWords } from '#words/isolation'
import { RULE_TEXT, nextWords } from '#words/isolation-rules'
import { scriptOf, scenarioTitle } from '#words/scenarios'
import { lineWords, moveWords, saysWords, touchSentence } from '#words/trainer'
import type { StartRunBody } from '#schemas/isolation-requests'
import type { Debrief, IsolationHome, RunView } from '#schemas/isolation-views'
import type { StoredRun } from '../repos/isolation-runs'
import type { Person } from '../repos/people'
import { allow, openOf } from './access'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'

/** Scenarios by the names that give nothing away, and the person's own runs. */
export function isolationHome({ repos }: Context, actor: Person): IsolationHome {
  allow(actor, 'isolation.practise')
  const runs = repos.isolationRuns.byPerson(actor.id)
  return {
    repeats: repos.observations.openRepeats().filter(({ personId }) => personId === actor.id),
    locks: repos.locks.openOf(actor.id),
    scenarios: SCENARIO_CODES.map((code) => ({
      code,
      title: scenarioTitle(code),
      level: levelOf(code),
      tries: runs.filter((run) => run.scenario === code).length,
      hasMet: runs.some((run) => run.scenario === code && run.met),
    })),
    runs: runs
      .slice(0, 12)
      .map(({ id, scenario: code, mode, state, met, startedAt }) => ({
        id,
        title: scenarioTitle(code),
        mode,
        state,
        met,
        startedAt,
      })),
  }
}

export function startRun(
  { repos, now }: Context,
  actor: Person,
  { scenario: code, mode }: StartRunBody,
): { readonly id: number } {
  allow(actor, 'isolation.practise')
  if (!isScenario(code)) throw new Problem('notFound')
  return {
    id: repos.isolationRuns.insert({
      personId: actor.id,
      scenario: code,
      seed: randomInt(MOST_SEED),
      mode,
      policy: repos.centre.isolation(),
      startedAt: now,
    }),
  }
}

export const showRun = (context: Context, actor: Person, id: number): RunView =>
  viewOf(ownRun(context, actor, id))

export function moveRun(context: Context, actor: Person, id: number, version: number, move: string): RunView {
  saveIfCurrent(context, {
    sent: version,
    read: () => ownRun(context, actor, id),
    check: ({ state, scenario: code, seed, moves }) => {
      if (state === 'done') throw new Problem('runOver')
      if (!replay(code, seed, [...moves, move])) throw new Problem('moveNotHere')
    },
    write: ({ moves }) => context.repos.isolationRuns.saveMoves(id, version, [...moves, move]),
    theirs: viewOf,
  })
  return showRun(context, actor, id)
}

export function endRun(context: Context, actor: Person, id: number): RunView {
  const run = ownRun(context, actor, id)
  const state = storyOf(run)
  context.repos.isolationRuns.end(id, judgeRun(state, run.policy, true).met)
  return viewOf(ownRun(context, actor, id))
}

function ownRun({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): StoredRun {
  return openOf(actor, 'rehearsal.open', repos.isolationRuns.byId(id))
}

function storyOf({ scenario: code, seed, moves }: StoredRun): TrainerState {
  const state = replay(code, seed, moves)
  if (!state)
    throw new Problem('runOver', {
      sentence: 'This rehearsal was made with an older scenario and cannot be told again. Start another one.',
    })
  return state
}

function viewOf(run: StoredRun): RunView {
  const state = storyOf(run)
  const { world, rig, place, shown } = state
  const parts = indexParts(rig)
  const script = scriptOf(run.scenario)!
  const isDone = run.state === 'done'
  const hint = !isDone && run.mode === 'guided' ? nextHint(state, run.policy) : null
  return {
    id: run.id,
    version: run.version,
    title: script.title,
    mode: run.mode,
    state: run.state,
    place,
    job: script.job,
    pointName: nameIn(state)(world.point),
    indicator: state.indicator,
    holdsPermit: state.hasPermit,
    lines: state.lines.map((line) => ({ who: line.who, text: lineWords(line, parts, world.point, script) })),
    shown: shown && {
      indicator: shown.indicator,
      pairs: shown.pairs,
      words: shown.says ? saysWords(shown.says) : null,
      isLit: showsLive(shown),
    },
    moves: isDone ? [] : moveViews(state),
    devices: place === 'board' ? deviceViews(state) : [],
    point: pointView(state),
    seconds: state.clockS,
    hint: hint
      ? { name: RULE_TEXT[hint]!.name, next: nextWords(hint, { level: world.level, policy: run.policy }) }
      : null,
    debrief: isDone ? debriefOf(state, run) : null,
  }
}

const nameIn =
  ({ rig }: TrainerState) =>
  (id: string): string =>
    rig.parts.find((part) => part.id === id)?.name ?? id

const moveViews = (state: TrainerState): RunView['moves'] =>
  movesAt(state).map((move) => ({
    key: moveKey(move),
    words: moveWords(move, nameIn(state), (id) => state.bay.closed[id] ?? false),
    group: groupOf(move),
    device: 'device' in move ? move.device : null,
  }))

/** What can be seen at the board: each device, what the chart says of it once it has been read, lock and notice. */
function deviceViews(state: TrainerState): RunView['devices'] {
  const { rig, chartRead, world, bay } = state
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null,
  )
  return devices.map((device) => ({
    id: device.id,
    name: device.name,
    says: chartRead ? (world.chart[device.id] ?? null) : null,
    isOn: bay.closed[device.id] ?? false,
    secured: securedIn(state, device.id),
    look: faceOf(device),
  }))
}

/** What is worked on, as somebody sees it who stands there. */
function pointView({ rig, world, isOpen, isParted, isTaped }: TrainerState): RunView['point'] {
  const part = rig.parts.find(({ id }) => id === world.point)!
  return { kind: workPointOf(part), isOpen, isParted, isTaped }
}

function groupOf(move: Move): RunView['moves'][number]['group'] {
  if (move.do === 'walk') return 'walk'
  if ('device' in move) return 'device'
  return move.do === 'take' ||
    move.do === 'keepKey' ||
    move.do === 'leaveKey' ||
    (move.do === 'prove' && move.on !== 'here')
    ? 'bag'
    : 'here'
}

/** Own sequence against the constraints, and what hands would have touched. */
function debriefOf(state: TrainerState, run: StoredRun): Debrief {
  const verdict = judgeRun(state, run.policy, true)
  const parts = indexParts(state.rig)
  return {
    verdict,
    secret: scriptOf(run.scenario)!.secret,
    sequence: state.acts.map((act, i) => {
      const touch = state.touches.find((candidate) => candidate.act === i)?.touched
      return {
        words: [ACT_TEXT[act.kind], shownWords(act)].filter(Boolean).join(': '),
        seconds: act.atS,
        broken: verdict.rules
          .filter(({ state: is, at }) => is === 'broken' && at === i)
          .map(({ code }) => code),
        touch: touch ? touchSentence(touch, terminalWords(parts, touch.terminal)) : null,
      }
    }),
  }
}
