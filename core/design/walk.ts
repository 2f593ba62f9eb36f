import type { MeasuredZsPolicy, WarmDropPolicy } from '../policies/policy'
import type { DeviceAbove, SupplyHere, Task } from './model/task'
import type { Board, Circuit, Installation } from '../installation/installation'
import { boardFedBy, boardsOutward, circuitsOf, infeedsBehind } from '../installation/tree'
import { bookOf } from '../regulations/book/book'
import type { BookChange } from '../regulations/book/change'
import type { Edition } from '../regulations/editions'
import type { BoardStep, BoardTask, Contribution } from './board/board-task'
import { DEMAND_STEPS, SWITCH_STEPS } from './board-chain'
import { CABLE_STEPS, LOAD_STEPS } from './circuit-chain'
import type { StepValues } from './model/step'
import type { CircuitStep } from './steps/step-context'

/** What a design is worked by, beside the installation itself. */
export interface DesignRules {
  readonly edition: Edition
  readonly measuredZs: MeasuredZsPolicy
  readonly warmDrop: WarmDropPolicy
  /** What the centre's book says otherwise; left out: nothing. */
  readonly changes?: readonly BookChange[]
}

/**
 * Somebody who works the design: told each circuit and board in turn, with the steps now due and the values
 * so far, and answering with the values they go on with. The reference works them out; a marker reads them
 * from a sheet.
 */
export interface Worker {
  circuit: (circuit: Circuit, task: Task, steps: readonly CircuitStep[], before: StepValues) => StepValues
  board: (board: Board, task: BoardTask, steps: readonly BoardStep[], before: StepValues) => StepValues
}

/** What a board hands on to its circuits. */
interface Here {
  readonly supply: SupplyHere
  readonly dropAbove: number
  readonly above: DeviceAbove
}

/**
 * Walks the installation as it is designed: loads from the outermost boards inward, then from the origin
 * outward the switchgear and cables, each board with the loop, fault current and voltage drop that the
 * worker's own values leave it.
 */
export function walkInstallation(installation: Installation, rules: DesignRules, worker: Worker): void {
  const boards = boardsOutward(installation)
  const values = new Map<string, StepValues>()
  const contributions = new Map<string, readonly Contribution[]>()
  /** A distribution circuit carries what its board takes. */
  const demandBehind = (circuit: Circuit): number | null =>
    values.get(boardFedBy(installation, circuit.id)?.id ?? '')?.demand ?? null
  const origin: Here = {
    supply: {
      arrangement: installation.intake.arrangement,
      zeOhm: installation.intake.zeOhm,
      ipfA: installation.intake.ipfA,
    },
    dropAbove: 0,
    above: mainFuse(installation),
  }

  // Inward: what each circuit takes, and what that makes its board take.
  for (const board of [...boards].reverse()) {
    const brought = circuitsOf(installation, board.id).map((circuit): Contribution => {
      const circuitValues = worker.circuit(
        circuit,
        taskOf(installation, rules, circuit, origin, demandBehind(circuit)),
        LOAD_STEPS,
        {},
      )
      values.set(circuit.id, circuitValues)
      const next = boardFedBy(installation, circuit.id)
      return contributionOf(circuit, circuitValues, infeedOf(contributions.get(next?.id ?? '')))
    })
    contributions.set(board.id, brought)
    values.set(
      board.id,
      worker.board(board, boardTaskOf(installation, rules, board, origin, brought), DEMAND_STEPS, {}),
    )
  }

  // Outward: what each board is given, and what its circuits make of it.
  const here = new Map<string, Here>()
  for (const board of boards) {
    const given = board.fedBy === null ? origin : here.get(board.id)!
    const task = boardTaskOf(installation, rules, board, given, contributions.get(board.id)!)
    values.set(board.id, worker.board(board, task, SWITCH_STEPS, values.get(board.id)!))
    for (const circuit of circuitsOf(installation, board.id)) {
      const circuitValues = worker.circuit(
        circuit,
        taskOf(installation, rules, circuit, given, demandBehind(circuit)),
        CABLE_STEPS,
        values.get(circuit.id)!,
      )
      const next = boardFedBy(installation, circuit.id)
      if (next) here.set(next.id, beyond(next, circuit, circuitValues, given))
    }
  }
}

/**
 * What a circuit brings to its board's demand: a socket circuit its device's rating, any other its design
 * current.
 */
function contributionOf(circuit: Circuit, values: StepValues, behindA: number): Contribution {
  const { id, use, phases, line, load, infeed } = circuit
  const usualA = (use === 'sockets' ? values.in : values.ib) ?? 0
  // What only gives takes nothing; a battery and a vehicle are charged from here too.
  const currentA = infeed === 'photovoltaic' || infeed === 'generator' ? 0 : usualA
  const infeedA = behindA + (infeed ? (values.ib ?? 0) : 0)
  const householdCooker = load.basis === 'cooker' ? { hasSocket: load.hasSocket } : undefined
  return { circuit: id, use, currentA, infeedA, phases, line, householdCooker }
}

/** What second sources of a board can send back, A. */
const infeedOf = (brought: readonly Contribution[] = []): number =>
  brought.reduce((sum, { infeedA }) => sum + infeedA, 0)

const mainFuse = ({ intake }: Installation): DeviceAbove => ({
  family: 'fuse-cartridge',
  curve: null,
  ratingA: intake.mainFuseA,
})

function taskOf(
  installation: Installation,
  rules: DesignRules,
  circuit: Circuit,
  here: Here,
  demandA: number | null,
): Task {
  // Field by field: one shape for all tasks keeps the steps that read them fast.
  return {
    use: circuit.use,
    phases: circuit.phases,
    topology: circuit.topology,
    load: circuit.load,
    points: circuit.points,
    isSpread: circuit.isSpread,
    lengthM: circuit.lengthM,
    spurM: circuit.spurM,
    spurs: circuit.spurs,
    fusedSpurs: circuit.fusedSpurs,
    cable: circuit.cable,
    run: circuit.run,
    ambientC: circuit.ambientC,
    grouping: circuit.grouping,
    insulationMm: circuit.insulationMm,
    location: circuit.location,
    concealed: circuit.concealed,
    dc: circuit.dc,
    device: circuit.device,
    maker: circuit.maker,
    marking: circuit.marking,
    infeed: circuit.infeed,
    residualA: circuit.residualA,
    existing: circuit.existing,
    edition: rules.edition,
    book: bookOf(rules.edition, rules.changes),
    measuredZs: rules.measuredZs,
    warmDrop: rules.warmDrop,
    premises: installation.premises,
    supply: here.supply,
    dropAbove: here.dropAbove,
    above: here.above,
    demandA,
    feedsBack: installation.circuits.some(({ infeed }) => infeed)
      ? infeedsBehind(installation, circuit)
      : null,
  }
}

function boardTaskOf(
  installation: Installation,
  rules: DesignRules,
  board: Board,
  here: Here,
  contributions: readonly Contribution[],
): BoardTask {
  const { intake } = installation
  return {
    edition: rules.edition,
    book: bookOf(rules.edition, rules.changes),
    premises: installation.premises,
    consequence: installation.consequence,
    arrangement: here.supply.arrangement,
    phases: board.phases,
    isOrigin: board.fedBy === null,
    mainFuseA: intake.mainFuseA,
    neutralMm2: intake.neutralMm2,
    above: here.above,
    contributions,
  }
}

/** The supply as it arrives at the far board. A TT island keeps its own electrode and loses the supply's earth. */
function beyond(board: Board, circuit: Circuit, circuitValues: StepValues, given: Here): Here {
  const isIsland = board.electrodeOhm !== null
  return {
    supply: {
      arrangement: isIsland ? 'TT' : given.supply.arrangement,
      zeOhm: isIsland ? board.electrodeOhm : (circuitValues.zs ?? given.supply.zeOhm),
      ipfA: circuitValues.ipfEnd ?? given.supply.ipfA,
    },
    dropAbove: circuitValues.voltDropTotal ?? given.dropAbove,
    above: { ...circuit.device, ratingA: circuitValues.in ?? given.above.ratingA },
  }
}
