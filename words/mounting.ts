import type { MountingLack } from '#core/bay/mount/check'

type Told = (params: MountingLack['params']) => { readonly says: string; readonly means: string }

const TOLD: Readonly<Record<MountingLack['code'], Told>> = {
  railMissing: ({ board }) => ({
    says: `${board} has no rail yet.`,
    means: 'Nothing can be mounted without it.',
  }),
  notMounted: ({ part }) => ({
    says: `${part} is still in the box of parts.`,
    means: 'What it feeds or joins is not there.',
  }),
  combMissing: ({ busbar }) => ({
    says: `${busbar} has not been cut and fitted.`,
    means: 'The breakers beside its device have no supply.',
  }),
  combShort: ({ busbar, part }) => ({
    says: `${busbar} does not reach ${part}.`,
    means: 'Its line terminal has no supply: cut a longer piece, or move the device under it.',
  }),
  combTouches: ({ busbar, part }) => ({
    says: `${busbar} touches ${part}, which it should not feed.`,
    means: 'Two sections are joined; isolating the one leaves it live from the other.',
  }),
  combLong: ({ busbar, place }) => ({
    says: `${busbar} goes on over place ${place}, where nothing stands.`,
    means: 'A bare tooth at line voltage stands behind the blank: cut it off where the last device ends.',
  }),
  capMissing: ({ busbar }) => ({
    says: `${busbar} has no cap on its cut end.`,
    means: 'Bare copper at line voltage stands in the enclosure.',
  }),
  deviceUnproved: ({ device, poles }) => ({
    says: `${device} is not proved: ${poles}.`,
    means:
      'A pole that does not open cannot isolate, and one that does not close shows under load; nothing tells before.',
  }),
}

/** What is still lacking in the mounting of a board, and what follows from it. */
export const mountingWords = ({ code, params }: MountingLack): ReturnType<Told> => TOLD[code](params)

/** What was read across a pole. */
export const proofWords = (text: string): string => {
  if (text === '') return 'not read'
  return text === 'over' ? 'no continuity' : `${Number(text).toFixed(2)} Ω`
}
