import type { Exercise } from '#core/exercise/exercise'
import { makeVariants } from '#core/exercise/variants'

/** Draws variants away from the page: a whole board may take half a second. */
addEventListener('message', ({ data }: MessageEvent<{ turn: number; exercise: Exercise; count: number }>) => {
  postMessage({ turn: data.turn, result: makeVariants(data.exercise, data.count) })
})
