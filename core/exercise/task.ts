import type { CableKind, Method } from '../regulations/cables'
import type { Curve, DeviceFamily } from '../regulations/breakers'
import type { GroupingArrangement } from '../regulations/rating-factors'
import type { Arrangement } from '../regulations/supply'

export interface Supply {
  readonly arrangement: Arrangement
  /** External earth fault loop impedance, Ω, > 0. For TT this is the electrode's resistance. */
  readonly zeOhm: number
  /** Prospective fault current at the board, A, > 0. */
  readonly ipfA: number
}

/** Given as power with its power factor, or straight as current. */
export type Load =
  | { readonly basis: 'power'; readonly powerW: number; readonly powerFactor: number }
  | { readonly basis: 'current'; readonly currentA: number; readonly powerFactor: number }

/** How a measured (cold) Zs is compared with the tabulated limit; a centre chooses. */
export type MeasuredZsPolicy = 'eighty-percent' | 'corrected'

/** One radial final circuit at one bay: everything an answer may depend on, nothing else. */
export interface Task {
  readonly supply: Supply
  readonly use: 'sockets' | 'lighting' | 'fixed'
  readonly premises: 'dwelling' | 'commercial' | 'industrial'
  readonly location: 'general' | 'bathroom' | 'outdoors'
  /** In a wall or partition less than 50 mm deep without mechanical protection or an earthed covering. */
  readonly concealed: boolean
  readonly load: Load
  /** Route length from board to far point, m, > 0. */
  readonly lengthM: number
  readonly cable: { readonly kind: CableKind; readonly method: Method }
  /** A row of Table 4B1, °C. */
  readonly ambientC: number
  /** Circuits grouped together, this one included, 1 to 9. */
  readonly grouping: { readonly circuits: number; readonly arrangement: GroupingArrangement }
  readonly device: { readonly family: DeviceFamily; readonly curve: Curve }
  /** Residual device at the bay: rated residual current in A, or null for none. */
  readonly residualA: number | null
  readonly measuredZs: MeasuredZsPolicy
}

/** What the apprentice is told: the task without the residual device, which is theirs to decide. */
export type PublicTask = Omit<Task, 'residualA'>

export function publicTask(task: Task): PublicTask {
  const { residualA: _hidden, ...rest } = task
  return rest
}
