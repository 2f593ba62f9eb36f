import { cutStock, type Piece } from '#core/containment/cutting'

/** Works a cutting list out away from the page. */
addEventListener(
  'message',
  ({ data }: MessageEvent<{ turn: number; pieces: readonly Piece[]; stockMm: number }>) => {
    postMessage({ turn: data.turn, result: cutStock(data.pieces, data.stockMm) })
  },
)
