import type { Reading } from '../instruments/reading'
import type { DevicePart, Pole, Rig } from '../model/rig'
import type { WiringFields } from '../model/wiring'

/** A pole of a device that opens is proved in both positions before any supply is put on. */
export const POSITIONS = ['open', 'closed'] as const
type Position = (typeof POSITIONS)[number]
export interface PoleProof {
  readonly device: DevicePart
  readonly pole: Pole
  readonly position: Position
}

/** A closed pole reads less, Ω; common practice, no source. */
const CLOSED_BELOW_OHM = 1

/** Every pole that opens, of every device of the boards, in both positions. */
export const polesToProve = ({ parts }: Pick<Rig, 'parts'>): PoleProof[] =>
  parts.flatMap((device) =>
    device.kind === 'device' && device.board !== null
      ? device.poles
          .filter((pole) => !device.solid.includes(pole))
          .flatMap((pole) => POSITIONS.map((position) => ({ device, pole, position })))
      : [],
  )

/** `proof.<device>.<pole>.<position>` → what was read: Ω, or `over`. */
export const proofField = ({ device, pole, position }: PoleProof): string =>
  `proof.${device.id}.${pole}.${position}`

/** What is kept of a continuity reading; nothing of one that could not be taken. */
export const proofText = (reading: Reading): string => {
  if (reading.isOver) return 'over'
  return reading.value === undefined ? '' : String(reading.value)
}

/** Did this reading show what a sound pole shows there? */
export function isProof(position: Position, text: string): boolean {
  if (text === '') return false
  if (position === 'open') return text === 'over'
  return text !== 'over' && Number(text) < CLOSED_BELOW_OHM
}

/** Poles that have not been shown to open and to close. */
export const unproved = (rig: Pick<Rig, 'parts'>, fields: WiringFields): PoleProof[] =>
  polesToProve(rig).filter((proof) => !isProof(proof.position, fields[proofField(proof)] ?? ''))
