import type { InstallationDesign, CircuitDesign } from '../reference'
import { boardNeeds } from './board-needs'
import type { CableNeed, DeviceNeed, Materials, PartNeed } from './needs'
import { sizeFor } from '../limits/limits'
import { CABLES, isDrawnIn } from '../../regulations/cables/sizes'
import { DEVICES } from '../../regulations/devices'
import { RCD_TYPES } from '../../regulations/rcd'
import type { Use } from '../../regulations/supply'

/** At the board and at each point, m; common practice, no source (150 to 200 mm at an accessory). */
const BOARD_TAIL_M = 0.5
const POINT_TAIL_M = 0.2
/** Stock length of conduit and trunking, m; common practice, no source. */
const STOCK_M = 3
const POINT_PART: Readonly<Partial<Record<Use, PartNeed['part']>>> = {
  sockets: 'socket',
  lighting: 'lampholder',
  cooker: 'cooker-unit',
  shower: 'pull-switch',
  immersion: 'isolator',
  motor: 'motor-starter',
  fixed: 'fused-unit',
}

/** Materials of the circuits that are built, from the worked design; `circuits` names them. */
export function materialsOf(design: InstallationDesign, circuits: readonly string[]): Materials {
  const built = design.circuits.filter(({ scope, stopped }) => circuits.includes(scope) && !stopped)
  return {
    cables: built.map(cableNeed),
    devices: built.map(deviceNeed),
    parts: [
      ...design.boards
        .filter(({ board }) => built.some(({ circuit }) => circuit.board === board.id))
        .flatMap(({ board }) => boardNeeds(board, circuitsOn(design, board.id))),
      ...built.flatMap(partNeeds),
    ],
  }
}

const circuitsOn = (design: InstallationDesign, board: string) =>
  design.circuits.flatMap(({ circuit }) => (circuit.board === board ? [circuit] : []))

function cableNeed({ circuit, task, values }: CircuitDesign): CableNeed {
  const size = sizeFor(task, values.csa!)!
  const ends = (task.topology === 'ring' ? 2 : 1) * BOARD_TAIL_M + 2 * POINT_TAIL_M * circuit.points
  return {
    circuit: circuit.id,
    kind: task.cable.kind,
    phases: task.phases,
    lineMm2: size.lineMm2,
    cpcMm2: size.cpcMm2,
    lengthM: Math.ceil((task.lengthM + task.spurM + ends) * 2) / 2,
  }
}

function deviceNeed({ circuit, task, values }: CircuitDesign): DeviceNeed {
  return {
    circuit: circuit.id,
    family: task.device.family,
    curve: task.device.curve,
    ratingA: values.in!,
    residualMA: task.residualA === null ? null : Math.round(task.residualA * 1e3),
    residualType: values.residualType ? RCD_TYPES[values.residualType - 1]! : null,
    capacityA: values.breaking!,
  }
}

function partNeeds({ circuit, task, values }: CircuitDesign): PartNeed[] {
  const parts: PartNeed[] = []
  const add = (part: PartNeed['part'], detail: string, count: number) =>
    parts.push({ circuit: circuit.id, part, detail, count })
  const point = POINT_PART[task.use]
  if (point) {
    add(point, '', circuit.points)
    add('box', '', circuit.points)
  }
  if (circuit.fusedSpurs > 0) add('fused-unit', '13 A', circuit.fusedSpurs)
  if (task.use === 'lighting') add('switch', '', 1)
  if (CABLES[task.cable.kind].cpc.made !== 'copper') add('gland', `${values.csa} mm²`, 2)
  if (isDrawnIn(task.cable.kind)) {
    const isConduit = task.cable.kind === 'singles-in-conduit'
    add(
      isConduit ? 'conduit' : 'trunking',
      isConduit ? `${values.containment} mm` : String(values.containment).replace('.', ' × '),
      Math.ceil(task.lengthM / STOCK_M),
    )
  }
  return parts
}

/** The device as it is written on a list: `RCBO B32, 30 mA type A, 6 kA`. */
export function deviceWords({
  family,
  curve,
  ratingA,
  residualMA,
  residualType,
  capacityA,
}: DeviceNeed): string {
  const head = `${DEVICES[family].standard} ${curve ?? ''}${ratingA}${curve ? '' : ' A'}`
  const residual =
    residualMA === null ? '' : `, ${residualMA} mA${residualType ? ` type ${residualType}` : ''}`
  return `${head}${residual}, ${capacityA / 1e3} kA`
}
