/** Nearer than this counts as right: what is worked in the head is rounded. */
const RIGHT_WITHIN = 0.05

/** How a prediction stands to what came out: right, a decimal point off, twice or half as much, or another way off. */
export type PredictionVerdict =
  | { readonly is: 'right' }
  | { readonly is: 'tenfold'; readonly times: number }
  | { readonly is: 'double' | 'half' }
  | { readonly is: 'off'; readonly share: number }

const isNear = (value: number, wanted: number): boolean => Math.abs(value / wanted - 1) <= RIGHT_WITHIN

/** Judges a figure against what came out, both in the same unit; where nothing comes out only nothing is right. */
export function judgePrediction(predicted: number, came: number): PredictionVerdict {
  if (came === 0) return predicted === 0 ? { is: 'right' } : { is: 'off', share: Infinity }
  const ratio = predicted / came
  if (isNear(ratio, 1)) return { is: 'right' }
  const power = Math.round(Math.log10(ratio))
  if (power !== 0 && isNear(ratio, 10 ** power)) return { is: 'tenfold', times: 10 ** power }
  if (isNear(ratio, 2)) return { is: 'double' }
  if (isNear(ratio, 0.5)) return { is: 'half' }
  return { is: 'off', share: ratio - 1 }
}
