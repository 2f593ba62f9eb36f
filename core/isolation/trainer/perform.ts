import { simulate } from '../../bay/behaviour/simulate'
import { touchTerminal, type Touched } from '../../bay/behaviour/touch'
import type { Rig } from '../../bay/model/rig'
import { prepare } from '../../bay/instruments/setup'
import { indexParts, terminalWords } from '../../bay/model/terminals'
import { happeningSentence } from '../../texts/happenings'
import { INDICATOR_NAME, PROOF_NAME } from '../../texts/isolation'
import type { Act } from '../act'
import type { Move } from './move'
import type { Line, TrainerState } from './state'
import { showAt, showsLive, testTerminals } from './test-point'

/** Walking and everything else take this long, s; shown, never scored. */
const WALK_S = 25
const ACT_S = 12
/** How long what follows an act is watched, s. */
const FOLLOW_S = 5

const you = (text: string): Line => ({ who: 'you', text })
const see = (text: string): Line => ({ who: 'see', text })
const say = (text: string): Line => ({ who: 'say', text })

/** The state after a move. Same world, same moves, same state. */
export function perform(before: TrainerState, move: Move): TrainerState {
  const state = surprise(before, move)
  const name = (id: string) => state.rig.parts.find((part) => part.id === id)?.name ?? id
  const { indicator } = state
  const done = (
    act: Partial<Act> & Pick<Act, 'kind'>,
    lines: readonly Line[],
    change: Partial<TrainerState> = {},
  ): TrainerState => ({
    ...state,
    shown: null,
    ...change,
    acts: [
      ...state.acts,
      { atS: state.clockS, place: state.place, ...(indicator ? { indicator } : {}), ...act },
    ],
    lines: [...state.lines, ...lines],
    clockS: state.clockS + ACT_S,
  })
  const without = (all: readonly string[], one: string) => all.filter((other) => other !== one)

  switch (move.do) {
    case 'walk':
      return { ...state, place: move.to, shown: null, clockS: state.clockS + WALK_S }
    case 'ask':
      return done({ kind: 'ask' }, [you(ASKED[move.topic]), say(state.world.answers[move.topic])])
    case 'inform':
      return done({ kind: 'inform' }, [
        you('I switch a circuit off in a moment; this part will have no supply until I tell you.'),
        say('All right, I tell the others.'),
      ])
    case 'permit':
      return done(
        { kind: 'permit' },
        [you('May I have the permit for this work?'), say('Here it is, signed by both sides, for today.')],
        { hasPermit: true },
      )
    case 'handBack':
      return done({ kind: 'handBack' }, [you('The work is over; here is the permit.'), say('Signed off.')], {
        hasPermit: false,
      })
    case 'informAgain':
      return done({ kind: 'informAgain' }, [you('It comes on again now.'), say('Good.')])
    case 'warnNeutral':
      return done({ kind: 'warnNeutral' }, [
        you('Only the line is switched off. The neutral is still connected to every other circuit.'),
      ])
    case 'readChart':
      return done({ kind: 'identify' }, [you('Reads the chart at the board and compares.')], {
        chartRead: true,
      })
    case 'take':
      return done(
        { kind: 'take', indicator: move.indicator },
        [you(`Takes the ${INDICATOR_NAME[move.indicator]} from the bag.`)],
        { indicator: move.indicator, isIndicatorWorking: true },
      )
    case 'prove':
      return prove(state, move.on, done)
    case 'test':
      return testPoint(state, move.every, done)
    case 'testDevice': {
      const part = state.rig.parts.find(({ id }) => id === move.device)!
      const board = 'board' in part ? part.board : null
      const bars = state.rig.parts.filter((bar) => bar.kind === 'bar' && bar.board === board)
      const lines =
        part.kind === 'device'
          ? part.poles.filter((pole) => pole !== 'N').map((pole) => `${part.id}.${pole} out`)
          : []
      const ends = [
        ...lines,
        ...bars
          .filter(
            (bar, i) =>
              bars.findIndex(
                (other) => other.kind === 'bar' && bar.kind === 'bar' && other.serves === bar.serves,
              ) === i,
          )
          .map((bar) => `${bar.id}.1`),
      ]
      const shown = showAt(state, indicator!, ends, true)
      return done(
        {
          kind: state.hasSwitchedOff ? 'testDead' : 'checkLive',
          shows: showsLive(shown),
          atPoint: false,
          pairs: shown.pairs.length,
        },
        [you(`Tests what leaves ${name(move.device)}.`)],
        { shown },
      )
    }
    case 'switch':
      return switchDevice(state, move.device, name(move.device), done)
    case 'lock':
      return done(
        { kind: 'lock' },
        [you(`Fits a locking-off device and the own padlock to ${name(move.device)}.`)],
        { locks: [...state.locks, move.device] },
      )
    case 'unlock':
      return done(
        { kind: 'removeOwnLock' },
        [
          you(`Takes the own padlock off ${name(move.device)}.`),
          ...(state.hasOthersLock ? [see('There is another padlock on the hasp.')] : []),
        ],
        { locks: without(state.locks, move.device) },
      )
    case 'keepKey':
      return done({ kind: 'keepKey' }, [you('Puts the only key into the pocket.')])
    case 'leaveKey':
      return done({ kind: 'leaveKey' }, [you('Leaves the key in the padlock.')])
    case 'notice':
      return done(
        { kind: 'notice' },
        [you(`Hangs the notice at ${name(move.device)}: name, date, reason.`)],
        { notices: [...state.notices, move.device] },
      )
    case 'removeNotice':
      return done({ kind: 'removeNotice' }, [you('Takes the notice down.')], {
        notices: without(state.notices, move.device),
      })
    case 'waitForOther':
      return done(
        { kind: 'informAgain' },
        [you('Calls the other person and waits.'), say('Give me a minute. There, my lock is off.')],
        { hasOthersLock: false },
      )
    case 'cutOthersLock':
      return done({ kind: 'removeOthersLock' }, [you('Takes the other padlock off.')], {
        hasOthersLock: false,
      })
    case 'open':
      return opened(done({ kind: 'open' }, [you(`Opens ${name(state.world.point)}.`)], { isOpen: true }))
    case 'part':
      return done({ kind: 'separate' }, [you('Parts the conductors of the neutral.')], {
        isParted: true,
        rig: parted(state),
      })
    case 'tape':
      return done({ kind: 'tape' }, [you('Puts tape over each parted end.')], { isTaped: true })
    case 'work':
      return work(state, done)
    case 'cover':
      return done({ kind: 'cover' }, [you('Everything is connected again, the cover is on.')], {
        isOpen: false,
        isParted: false,
        isTaped: false,
        rig: state.world.rig,
      })
    case 'clearTools':
      return done({ kind: 'clearTools' }, [you('Counts the tools and clears them away.')])
    case 'startAgain':
      return done(
        { kind: 'restart' },
        [you('This was not it. Everything as before, and again from the beginning.')],
        { hasSwitchedOff: false, chartRead: false },
      )
    case 'checkFunction': {
      const shown = indicator ? showAt(state, indicator, testTerminals(state, pointOf(state)), true) : null
      return done(
        { kind: 'checkFunction' },
        [
          you('Checks function and polarity.'),
          see(
            shown === null
              ? 'It works.'
              : showsLive(shown)
                ? 'It has its supply back.'
                : 'There is no supply here.',
          ),
        ],
        { shown },
      )
    }
  }
}

type Done = (
  act: Partial<Act> & Pick<Act, 'kind'>,
  lines: readonly Line[],
  change?: Partial<TrainerState>,
) => TrainerState

const ASKED = {
  what: 'What is to be done, and what is it exactly?',
  where: 'Which device feeds it, do you know?',
  else: 'What else goes off with it, and must anything stay on?',
  permit: 'Does this site work with permits?',
} as const
const pointOf = (state: TrainerState) => state.rig.parts.find(({ id }) => id === state.world.point)!

/** The rig with every neutral of the point out of its terminal. */
function parted({ rig, bay, world }: TrainerState): Rig {
  const neutral = `${world.point}.N`
  const freed = rig.wires
    .filter(({ from, to }) => from === neutral || to === neutral)
    .map(({ id, from }) => ({ wire: id, end: from === neutral ? ('from' as const) : ('to' as const) }))
  return prepare(rig, bay, { freed, links: [] }).rig
}

function prove(state: TrainerState, on: 'here' | 'proving-unit' | 'self-test', done: Done): TrainerState {
  const proof =
    on === 'here' ? (state.place === 'source' ? ('known-source' as const) : ('same-circuit' as const)) : on
  // Its own test button only shows that lamp and battery work.
  const shows =
    proof === 'same-circuit'
      ? showsLive(showAt(state, state.indicator!, testTerminals(state, pointOf(state)), true))
      : state.isIndicatorWorking
  return done({ kind: 'prove', proof, shows }, [
    you(
      `Proves the ${INDICATOR_NAME[state.indicator!]} on ${proof === 'self-test' ? '' : 'the '}${PROOF_NAME[proof]}.`,
    ),
    see(shows ? 'It lights.' : 'Nothing lights.'),
  ])
}

function testPoint(state: TrainerState, isEveryPair: boolean, done: Done): TrainerState {
  const shown = showAt(state, state.indicator!, testTerminals(state, pointOf(state)), isEveryPair)
  const kind = state.isParted
    ? 'testSeparated'
    : state.isOpen
      ? 'testTerminals'
      : state.hasSwitchedOff
        ? 'testDead'
        : 'checkLive'
  return done(
    { kind, shows: showsLive(shown), atPoint: true, pairs: shown.pairs.length },
    [you(isEveryPair ? 'Tests the point of work, every pair.' : 'Tests the point of work, one pair.')],
    { shown },
  )
}

function switchDevice(state: TrainerState, device: string, name: string, done: Done): TrainerState {
  const on = !(state.bay.closed[device] ?? false)
  const isMain = state.rig.parts.some(
    (part) => part.id === device && part.kind === 'device' && part.role === 'main-switch',
  )
  const { bay, seen } = follow(state.rig, state.bay, [{ atS: 0, kind: 'close', part: device, on }])
  return done(
    { kind: on ? 'switchOn' : 'switchOff', isMain },
    [you(`Switches ${name} ${on ? 'on' : 'off'}.`), ...seen],
    { bay, hasSwitchedOff: on ? state.hasSwitchedOff : true },
  )
}

/** Somebody may turn a switch while the accessory is open. */
function opened(state: TrainerState): TrainerState {
  const found = state.world.surprises.find(({ kind }) => kind === 'switchedOn')
  if (!found || found.kind !== 'switchedOn') return state
  const { bay } = follow(state.rig, state.bay, [{ atS: 0, kind: 'throw', part: found.part, on: true }])
  return { ...state, bay, lines: [...state.lines, say(found.says)] }
}

/** Hands on every conductor: what each of them would do to whoever touches it. */
function work(state: TrainerState, done: Done): TrainerState {
  const terminals = testTerminals(state, pointOf(state))
  const worst = terminals
    .map((ref) => touchTerminal(state.rig, state.bay, ref))
    .reduce((a, b) => (b.ampere > a.ampere ? b : a))
  const parts = indexParts(state.rig)
  const after = done({ kind: 'touch' }, [
    you('Does the work, hands on the conductors.'),
    see(touchSentence(worst, terminalWords(parts, worst.terminal))),
  ])
  return worst.effect === 'unfelt'
    ? after
    : { ...after, touches: [...state.touches, { act: state.acts.length, touched: worst }] }
}

const EFFECT = {
  unfelt: 'nothing that anybody would feel',
  felt: 'felt as a prick',
  letGo: 'the hand may not come off again',
  danger: 'dangerous to life',
} as const
/** Calmly, with figures. */
export const touchSentence = ({ openV, touchV, ampere, effect }: Touched, terminal: string): string =>
  effect === 'unfelt'
    ? 'Every conductor was dead.'
    : `At ${terminal} stood ${openV.toFixed(0)} V. Through a body: ${touchV.toFixed(0)} V, ${(ampere * 1e3).toFixed(0)} mA, ${EFFECT[effect]}.`

/** What happens by itself before this move. */
function surprise(state: TrainerState, move: Move): TrainerState {
  const spend = (kind: string, change: Partial<TrainerState>): TrainerState => ({
    ...state,
    ...change,
    spent: [...state.spent, kind],
  })
  for (const one of state.world.surprises) {
    if (state.spent.includes(one.kind)) continue
    if (one.kind === 'battery' && move.do === 'test' && state.place === 'point' && state.hasSwitchedOff)
      return spend('battery', { isIndicatorWorking: false })
    if (one.kind === 'reset' && move.do === 'walk' && state.place === 'board' && state.hasSwitchedOff) {
      const off = state.rig.parts.filter(
        (part) =>
          part.kind === 'device' &&
          part.board !== null &&
          !state.bay.closed[part.id] &&
          !state.locks.includes(part.id),
      )
      if (off.length > 0)
        return spend('reset', {
          bay: {
            ...state.bay,
            closed: { ...state.bay.closed, ...Object.fromEntries(off.map(({ id }) => [id, true])) },
          },
        })
    }
    if (one.kind === 'neutralTouchesEarth' && state.isParted && !state.isTaped && move.do !== 'tape') {
      const free = state.rig.parts.find(({ id }) => id.startsWith('free-'))
      const leak = {
        id: 'parted',
        from: free ? `${free.id}.S` : `${state.world.point}.N`,
        to: `${state.world.point}.E`,
        ohm: 0.05,
      }
      const { bay, seen } = follow(state.rig, state.bay, [{ atS: 0, kind: 'fault', leak }])
      return spend('neutralTouchesEarth', {
        bay,
        lines: [...state.lines, see('The parted neutral touches the earth.'), ...seen],
      })
    }
  }
  return state
}

/** What a hand's act brings about, in sentences of what can be seen from here. */
function follow(
  rig: Rig,
  bay: TrainerState['bay'],
  actions: Parameters<typeof simulate>[2],
): { readonly bay: TrainerState['bay']; readonly seen: readonly Line[] } {
  const { state, happenings } = simulate(rig, bay, actions, { untilS: FOLLOW_S })
  const parts = indexParts(rig)
  return {
    bay: state,
    seen: happenings
      .filter(({ kind }) => kind === 'tripped')
      .map((one) => see(happeningSentence(one, parts))),
  }
}
