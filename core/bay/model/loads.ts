import type { Infeed } from '../../regulations/infeed'

/** What a load is made of; its electrical behaviour follows from it. */
export type LoadKind =
  | { readonly kind: 'resistive'; readonly watt: number }
  | { readonly kind: 'filament'; readonly watt: number }
  /** Electronic: LED driver, charger. Its filter lets a little current flow to earth. */
  | {
      readonly kind: 'electronic'
      readonly watt: number
      readonly powerFactor: number
      readonly earthLeakA: number
    }
  /** Electrical input in W; for the first seconds `startMultiple` times its current. */
  | {
      readonly kind: 'motor'
      readonly watt: number
      readonly powerFactor: number
      readonly startMultiple: number
      readonly startS: number
    }
  /** Feeds in: a source that follows the voltage it finds and stops without it. */
  | { readonly kind: 'infeed'; readonly watt: number; readonly source: Infeed }

/** Does test voltage harm it, or it the reading? */
export const isElectronic = (load: LoadKind): boolean => load.kind === 'electronic'
