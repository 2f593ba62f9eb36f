import { inOrder } from '../in-order'

/** What somebody at a bay may ask an assessor over for. */
export const CALL_KINDS = ['isolation', 'terminations', 'inspection', 'signature', 'help'] as const
export type CallKind = (typeof CALL_KINDS)[number]

/** What is done by going there. */
export const WALK_KINDS = ['live', 'energise', ...CALL_KINDS, 'permit', 'repeat', 'question'] as const
export type WalkKind = (typeof WALK_KINDS)[number]

/** What waits at the desk. */
export const DESK_KINDS = ['marking', 'claims', 'surveys', 'secondMarking', 'appeals'] as const
export type DeskKind = (typeof DESK_KINDS)[number]

/** One thing that needs an assessor at a bay. */
export interface WalkNeed {
  readonly kind: WalkKind
  readonly bay: number
  /** Waiting since then, ISO 8601 UTC. */
  readonly at: string
}

/** Nobody waits for a question, and a repeat has a day of its own: they never pull somebody across the hall. */
const PULLS: readonly WalkKind[] = ['energise', ...CALL_KINDS, 'permit']
const pulls = ({ kind }: WalkNeed): boolean => PULLS.includes(kind)

/** Needs of one bay, and how long somebody has waited there. */
export interface BayStop<N extends WalkNeed> {
  readonly bay: number
  readonly needs: readonly N[]
  /** The longest wait that pulls there; null where nobody waits. */
  readonly waitingSince: string | null
}

export const WALK_ORDERS = ['bays', 'waiting'] as const
export type WalkOrder = (typeof WALK_ORDERS)[number]

/**
 * What needs somebody, bay by bay: in walking order of the bays, or by the longest wait. Within a bay what is live
 * stands first, then the longest wait, then what can be done in passing.
 */
export function walkOf<N extends WalkNeed>(needs: readonly N[], order: WalkOrder): BayStop<N>[] {
  const byBay = new Map<number, N[]>()
  for (const need of needs) byBay.set(need.bay, [...(byBay.get(need.bay) ?? []), need])
  const stops = [...byBay].map(([bay, list]): BayStop<N> => ({
    bay,
    needs: [...list].sort(
      (a, b) =>
        rank(a) - rank(b) || inOrder(a.at, b.at) || WALK_KINDS.indexOf(a.kind) - WALK_KINDS.indexOf(b.kind),
    ),
    waitingSince:
      list
        .filter(pulls)
        .map(({ at }) => at)
        .sort()[0] ?? null,
  }))
  const byNumber = (a: BayStop<N>, b: BayStop<N>) => a.bay - b.bay
  if (order === 'bays') return stops.sort(byNumber)
  return stops.sort((a, b) => inOrder(a.waitingSince ?? '9', b.waitingSince ?? '9') || byNumber(a, b))
}

function rank(need: WalkNeed): number {
  if (need.kind === 'live') return 0
  return pulls(need) ? 1 : 2
}

/** How many things wait for somebody: what can be done in passing and what is live are not counted. */
export const countWaiting = (needs: readonly WalkNeed[]): number => needs.filter(pulls).length
