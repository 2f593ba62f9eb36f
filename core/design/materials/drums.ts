/** One drum and the pieces cut from it, m. */
export interface Drum {
  readonly lengthM: number
  readonly pieces: readonly { readonly forWhom: string; readonly lengthM: number }[]
  readonly leftM: number
}

/** Stock drums, m; common practice, no source. */
export const DRUMS_M = [25, 50, 100] as const

/**
 * Cuts pieces from drums of one length: longest first, each from the fullest drum that still holds it. Pieces
 * longer than
 * a drum get one of their own in the next larger size.
 */
export function cutFromDrums(
  pieces: readonly { readonly forWhom: string; readonly lengthM: number }[],
  drumM: number,
): Drum[] {
  const drums: { lengthM: number; pieces: { forWhom: string; lengthM: number }[]; leftM: number }[] = []
  for (const piece of [...pieces].sort((a, b) => b.lengthM - a.lengthM)) {
    const open = drums.filter((drum) => drum.leftM >= piece.lengthM).sort((a, b) => a.leftM - b.leftM)[0]
    const drum = open ?? {
      lengthM: Math.max(drumM, DRUMS_M.find((size) => size >= piece.lengthM) ?? Math.ceil(piece.lengthM)),
      pieces: [],
      leftM: 0,
    }
    if (!open) {
      drum.leftM = drum.lengthM
      drums.push(drum)
    }
    drum.pieces.push(piece)
    drum.leftM = Number((drum.leftM - piece.lengthM).toFixed(2))
  }
  return drums
}

/** The drum size that wastes least for these pieces, and how they are cut. */
export function bestDrums(pieces: readonly { readonly forWhom: string; readonly lengthM: number }[]): {
  readonly drumM: number
  readonly drums: readonly Drum[]
} {
  const cuts = DRUMS_M.map((drumM) => ({ drumM, drums: cutFromDrums(pieces, drumM) }))
  const waste = (drums: readonly Drum[]) => drums.reduce((sum, drum) => sum + drum.leftM, 0)
  return cuts.sort((a, b) => waste(a.drums) - waste(b.drums) || b.drumM - a.drumM)[0]!
}

/** A drum of the store with what is left on it, m. */
export interface StockDrum {
  readonly label: string
  readonly leftM: number
}
/** What is cut from a drum of the store, and what has to be bought. */
export interface StockCut {
  readonly drums: readonly (Drum & { readonly label: string })[]
  /** Pieces for which no drum has enough; they are cut from new ones. */
  readonly missing: readonly { readonly forWhom: string; readonly lengthM: number }[]
}

/** Cuts pieces from what is on the drums: longest first, each from the one that is left with least. */
export function cutFromStock(
  pieces: readonly { readonly forWhom: string; readonly lengthM: number }[],
  stock: readonly StockDrum[],
): StockCut {
  const drums = stock.map(({ label, leftM }) => ({
    label,
    lengthM: leftM,
    pieces: [] as { forWhom: string; lengthM: number }[],
    leftM,
  }))
  const missing: { forWhom: string; lengthM: number }[] = []
  for (const piece of [...pieces].sort((a, b) => b.lengthM - a.lengthM)) {
    const drum = drums
      .filter(({ leftM }) => leftM >= piece.lengthM - 1e-9)
      .sort((a, b) => a.leftM - b.leftM)[0]
    if (!drum) {
      missing.push(piece)
      continue
    }
    drum.pieces.push(piece)
    drum.leftM = Number((drum.leftM - piece.lengthM).toFixed(2))
  }
  return { drums: drums.filter((drum) => drum.pieces.length > 0), missing }
}
