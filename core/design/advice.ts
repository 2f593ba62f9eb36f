import { note, type Finding } from '../findings/finding'
import type { Installation } from '../installation/installation'
import { circuitsOf, infeedsBehind } from '../installation/tree'
import { isDrawnIn } from '../regulations/cables/sizes'
import { surgePoles } from '../installation/surge'
import { DECLARED_ZE_OHM, STABLE_ELECTRODE_OHM, U0_V } from '../regulations/supply'
import { adviseNeutral } from './advisers/neutral'
import { lineDemands } from './board/demand'
import type { BoardDesign, CircuitDesign, InstallationDesign } from './reference'
import { selectivity } from './steps/selectivity'

/**
 * A 13 A socket radial is usually given more than this, so that one large plug does not trip it; common
 * practice, no source.
 */
const SMALL_FOR_SOCKETS_A = 16
/** How far Ipf × Ze may lie from U0 where neutral and earth are one conductor. */
const FAULT_CURRENT_SLACK = 0.3
/** Common practice, no source. */
const SPARE_SHARE = 0.8
const MOST_BENDS = 2
/** On-Site Guide Appendix H: larger fixed loads do not belong on a ring; from memory. */
const OWN_CIRCUIT_W = 2000

/**
 * What an instructor may want to look at again though it can be worked; by circuit, board, or the intake.
 * Prevents nothing.
 */
export interface Advice {
  readonly scope: string
  readonly finding: Finding
}

export function installationAdvice(installation: Installation, design: InstallationDesign): Advice[] {
  return [
    ...intakeAdvice(installation),
    ...standbyAdvice(installation, design),
    ...boardAdvice(installation),
    ...design.boards.flatMap(lineAdvice),
    ...design.circuits.flatMap((circuit) =>
      circuitAdvice(circuit).map((finding) => ({ scope: circuit.scope, finding })),
    ),
  ]
}

function intakeAdvice({ intake: { arrangement, zeOhm, ipfA, phases } }: Installation): Advice[] {
  const advice: Finding[] = []
  const declared = DECLARED_ZE_OHM[arrangement]
  if (declared !== undefined && zeOhm > declared)
    advice.push(note('advice.zeAboveDeclared', { zeOhm, declared, arrangement }))
  if (arrangement === 'TT' && zeOhm > STABLE_ELECTRODE_OHM)
    advice.push(note('advice.electrodeUnstable', { zeOhm, stable: STABLE_ELECTRODE_OHM }))
  if (arrangement === 'TN-C-S' && phases === 1 && Math.abs((ipfA * zeOhm) / U0_V - 1) > FAULT_CURRENT_SLACK)
    advice.push(note('advice.faultCurrent', { fits: U0_V / zeOhm }))
  return advice.map((finding) => ({ scope: 'intake', finding }))
}

/** What takes over where the grid is gone: it carries the demand or sheds some, and is earthed by rules of its own. */
function standbyAdvice({ intake, boards }: Installation, design: InstallationDesign): Advice[] {
  const { standby, phases } = intake
  if (!standby) return []
  const { source, powerW } = standby
  const origin = boards.find(({ fedBy }) => fedBy === null)?.id
  const demandA = design.boards.find(({ scope }) => scope === origin)?.values.demand ?? 0
  const demandW = demandA * U0_V * phases
  const advice = [
    note('advice.standby', { source }),
    ...(demandW > powerW ? [note('advice.standbyTooSmall', { source, powerW, demandW })] : []),
  ]
  return advice.map((finding) => ({ scope: 'intake', finding }))
}

function boardAdvice(installation: Installation): Advice[] {
  return installation.boards.flatMap((board) => {
    const advice: Finding[] = []
    const used = circuitsOf(installation, board.id).length + surgePoles(board)
    const ways = board.ways * board.phases
    if (used > 1 && used > SPARE_SHARE * ways) advice.push(note('advice.fewSpareWays', { used, ways }))
    if (board.electrodeOhm !== null && board.electrodeOhm > STABLE_ELECTRODE_OHM)
      advice.push(
        note('advice.electrodeUnstable', { zeOhm: board.electrodeOhm, stable: STABLE_ELECTRODE_OHM }),
      )
    const infeeds = [
      ...new Set(circuitsOf(installation, board.id).flatMap((one) => infeedsBehind(installation, one))),
    ]
    if (infeeds.length > 0) advice.push(note('advice.infeedBoard', { infeeds: infeeds.join(' ') }))
    return advice.map((finding) => ({ scope: board.id, finding }))
  })
}

/** Above this share of the heaviest line its neutral is worth a look; common practice, no source. */
const UNEQUAL_SHARE = 0.5

/** Lines of a three-phase board that are so unequal that the neutral carries much of it: phasor sum, cos φ = 1. */
function lineAdvice({ scope, task }: BoardDesign): Advice[] {
  if (task.phases === 1) return []
  const [l1, l2, l3] = lineDemands(task).map(({ ampere }) => ({ ampere, powerFactor: 1 }))
  const { neutralA, largestLineA } = adviseNeutral({ lines: [l1!, l2!, l3!], thirdHarmonic: 0 })
  if (neutralA <= UNEQUAL_SHARE * largestLineA) return []
  const params = { l1: l1!.ampere, l2: l2!.ampere, l3: l3!.ampere, neutralA }
  return [{ scope, finding: note('advice.unequalLines', params) }]
}

/** Advice on one worked circuit. */
export function circuitAdvice({ task, values }: CircuitDesign): Finding[] {
  const advice: Finding[] = []
  if (values.in === undefined) return advice
  if (task.use === 'sockets' && task.topology === 'radial' && values.in <= SMALL_FOR_SOCKETS_A)
    advice.push(note('advice.smallForSockets', { ratingA: values.in }))
  if (isDrawnIn(task.cable.kind) && task.run.bends > MOST_BENDS)
    advice.push(note('advice.drawPoints', { bends: task.run.bends }))
  if (
    task.topology === 'ring' &&
    task.load.basis === 'power' &&
    task.points === 1 &&
    task.load.powerW > OWN_CIRCUIT_W
  )
    advice.push(note('advice.ownCircuit'))
  advice.push(...flowAdvice(task))
  const chosen = selectivity(task, values.in)
  if (!chosen.isSelective && task.above) advice.push(note('advice.notSelective', { why: chosen.why }))
  return advice
}

/** Power that comes in from the circuit's end, and a device that may not stand there. */
const flowAdvice = ({ infeed, feedsBack, marking }: CircuitDesign['task']): Finding[] => [
  ...(infeed ? [note('advice.infeed', { infeeds: infeed })] : []),
  ...(feedsBack?.length && marking === 'line-load'
    ? [note('advice.oneWay', { infeeds: feedsBack.join(' ') })]
    : []),
]
