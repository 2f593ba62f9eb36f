/** A circuit as it is laid on a board. */
export interface SeatedCircuit {
  readonly id: string
  readonly name: string
  readonly phases: 1 | 3
  /** After diversity, of each line, A, ≥ 0. */
  readonly currentA: number
  /** Third harmonic, 0 to 1 of its current. */
  readonly thirdShare: number
  readonly ratingA: number
  /** Loss of a pole of its device at its own current, W. */
  readonly heatW: number
  /** Where it serves; what stands together is found together. */
  readonly area: string
  /** Has a neutral lead of its own that must reach the bar. */
  readonly hasLead: boolean
  /** Stands behind an RCD that it shares with others. */
  readonly isShared: boolean
  /** Standing leakage, mA. */
  readonly leakageMA: number
  /** The SPD, or the device that it stands behind: on the board, and no circuit. */
  readonly surge?: 'device' | 'spd'
}

/** A board to be laid out: its seats stand in one row, on a three-phase board L1, L2, L3 again and again. */
export interface EmptyBoard {
  readonly phases: 1 | 3
  readonly ways: number
  /** RCDs that the circuits which share one take turns at, as the bay is built; 0 where none does. */
  readonly sections: number
  /** Seats that a neutral lead reaches from the bar, counted from the left. */
  readonly reach: number
}

export const seatsOf = ({ phases, ways }: EmptyBoard): number => phases * ways

/** Which circuit sits where, by its place in the list; null is spare. A three-phase one fills the seats of its way. */
export type Seating = readonly (number | null)[]

/** 0 for L1, 1 for L2, 2 for L3; a single-phase board has L1 alone. */
export const lineOfSeat = ({ phases }: EmptyBoard, seat: number): number => seat % phases
export const wayOfSeat = ({ phases }: EmptyBoard, seat: number): number => Math.floor(seat / phases) + 1
/** Seats that a circuit takes: on a single-phase board one, whatever it is. */
export const polesOf = ({ phases }: EmptyBoard, circuit: SeatedCircuit): number =>
  phases === 1 ? 1 : circuit.phases
/** Seats that are taken: one for each pole of each circuit. */
export const seatsNeeded = (circuits: readonly SeatedCircuit[], board: EmptyBoard): number =>
  circuits.reduce((sum, circuit) => sum + polesOf(board, circuit), 0)
