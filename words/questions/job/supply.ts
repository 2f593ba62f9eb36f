import { STANDBY_NAME } from '#words/names'
import { surgePoles } from '#core/installation/surge'
import { hasRcd } from '#core/regulations/devices'
import { RCD_RATINGS_A } from '#core/regulations/rcd'
import {
  chooseAs,
  nameOf,
  numberAs,
  ofBoard,
  ofCircuit,
  ofJob,
  round,
  spokenAs,
  valueOf,
  verdictAs,
  type JobGenerator,
} from './generator'

/** About supply, boards as a whole, and RCDs. */
export const SUPPLY_QUESTIONS: readonly JobGenerator[] = [
  ofCircuit(
    { code: 'rcd-rating', topic: 'rcd', level: 1, moments: ['energise', 'live', 'design'] },
    (circuit) => {
      const rated = valueOf(circuit, 'residual')
      if (!rated || !RCD_RATINGS_A.includes(rated)) return null
      return {
        text: `What residual current rating has the RCD for ${nameOf(circuit)}?`,
        expected: numberAs(rated * 1000, 'mA'),
        follow: 'Why is it needed here?',
      }
    },
  ),
  ofCircuit({ code: 'rcd-five', topic: 'rcd', level: 1, moments: ['live'] }, (circuit) => {
    const rated = valueOf(circuit, 'residual')
    if (!rated || !RCD_RATINGS_A.includes(rated)) return null
    return {
      text: `What is five times the rated residual current of the RCD for ${nameOf(circuit)}?`,
      expected: numberAs(round(rated * 5000, 1), 'mA'),
    }
  }),
  ofCircuit(
    { code: 'dark', topic: 'rcd', level: 2, moments: ['energise', 'live', 'isolation'] },
    (circuit, { circuits, rig }) => {
      if (!rig || !valueOf(circuit, 'residual')) return null
      const same = hasRcd(circuit.circuit.device.family)
        ? []
        : circuits.filter(
            (other) =>
              other !== circuit &&
              other.circuit.board === circuit.circuit.board &&
              valueOf(other, 'residual') &&
              !hasRcd(other.circuit.device.family),
          )
      return {
        text: `The RCD of ${nameOf(circuit)} trips. Which other circuits may go dark with it?`,
        expected: spokenAs(
          same.length
            ? `Those behind the same RCD: ${same.map(nameOf).join(', ')}, as the board is laid out.`
            : 'None: it has an RCBO of its own.',
        ),
        prompts: ['RCCB or RCBO?'],
      }
    },
  ),
  ofCircuit(
    { code: 'line', topic: 'board', level: 1, moments: ['energise', 'terminations'] },
    ({ circuit }, { intake }) => {
      if (intake.phases !== 3 || circuit.phases !== 1) return null
      const expected = chooseAs(circuit.line, ['L1', 'L2', 'L3'])
      return (
        expected && {
          text: `Which line feeds ${circuit.name}?`,
          expected,
          prompts: ['What is its way, and in which column?'],
        }
      )
    },
  ),
  ...(
    [
      ['demand', 'demand', 'What is the maximum demand of', 'A', 2],
      ['main-switch', 'mainSwitch', 'What rating has the main switch of', 'A', 0],
      ['tails', 'tails', 'What size are the tails of', 'mm²', 0],
      ['earthing', 'earthing', 'What size is the earthing conductor of', 'mm²', 0],
      ['bonding', 'bonding', 'What size is the main bonding conductor at', 'mm²', 0],
    ] as const
  ).map(([code, step, ask, unit, within]) =>
    ofBoard(
      {
        code,
        topic: code === 'bonding' || code === 'earthing' ? 'bonding' : 'board',
        level: 2,
        moments: ['design', 'terminations'],
      },
      (board) => {
        const value = valueOf(board, step)
        return value === undefined || value <= 0
          ? null
          : { text: `${ask} ${board.board.name}?`, expected: numberAs(round(value, 1), unit, within) }
      },
    ),
  ),
  ofBoard(
    { code: 'spare', topic: 'board', level: 1, moments: ['terminations', 'energise'] },
    ({ board }, { circuits }) => {
      const used = circuits.filter(({ circuit }) => circuit.board === board.id)
      const taken = used.reduce((sum, { circuit }) => sum + circuit.phases, surgePoles(board))
      const spare = board.ways * board.phases - taken
      return spare <= 0
        ? null
        : {
            text: `How many ways of ${board.name} are left for breakers, by the design?`,
            expected: numberAs(spare, 'ways', 0),
            prompts: [`It has ${board.ways} ways${board.phases === 3 ? ' on each line' : ''}.`],
            follow: 'What closes them until then?',
          }
    },
  ),
  ofJob(
    { code: 'arrangement', topic: 'supply', level: 1, moments: ['energise', 'isolation', 'design'] },
    ({ intake }) => {
      const expected = chooseAs(intake.arrangement, ['TN-S', 'TN-C-S', 'TT'])
      return (
        expected && {
          text: 'Which earthing arrangement has this bay?',
          expected,
          follow: 'How can it be seen at the intake?',
        }
      )
    },
  ),
  ofJob(
    { code: 'standby', topic: 'supply', level: 2, moments: ['energise', 'isolation', 'design'] },
    ({ intake: { standby } }) =>
      standby
        ? {
            text:
              'The main fuse is out and everything is dark. ' +
              `The ${STANDBY_NAME[standby.source]} of this job can start by itself. Is the board isolated?`,
            expected: verdictAs(
              false,
              'The change-over joins the board to the other source. Isolate and lock off both, and prove dead.',
            ),
            prompts: [
              'What does the change-over do when the grid is gone?',
              'What does the notice at the board say?',
            ],
            source: 'BS 7671 514.15.1 and 551.6, from memory',
          }
        : null,
  ),
  ofJob(
    { code: 'standby-poles', topic: 'neutral', level: 2, moments: ['design', 'terminations'] },
    ({ intake: { standby } }) =>
      standby
        ? {
            text: 'Must the change-over of this job switch the neutral too?',
            expected: verdictAs(
              true,
              'The neutral of the standby source is earthed at the source: ' +
                'with both neutrals joined, neutral current would go by earth.',
            ),
            source: 'BS 7671 551.6.1, from memory',
          }
        : null,
  ),
  ofJob({ code: 'ze', topic: 'supply', level: 1, moments: ['live', 'design'] }, ({ intake }) => ({
    text:
      intake.arrangement === 'TT'
        ? 'What electrode resistance is this job designed for?'
        : 'What Ze is this job designed for?',
    expected: numberAs(intake.zeOhm, 'Ω', intake.zeOhm * 0.02),
  })),
  ofJob(
    { code: 'extraneous', topic: 'bonding', level: 2, moments: ['dead', 'terminations'] },
    ({ intake }) => {
      const isMetal = intake.service ? intake.service === 'metal' : intake.arrangement !== 'TT'
      return {
        text: `The water service of this job is ${isMetal ? 'metal' : 'plastic'}. Is it an extraneous-conductive-part?`,
        expected: verdictAs(
          isMetal,
          isMetal
            ? 'It comes out of the ground and can bring in earth potential: it is bonded.'
            : 'Plastic brings nothing in.',
        ),
        prompts: ['Can it bring in a potential?'],
        source: 'BS 7671 Part 2, from memory',
      }
    },
  ),
]
