import type { Change } from '#core/statistics/proportions'

const percent = (share: number): string => `${Math.round(100 * share)} %`
const points = (share: number): string => String(Math.round(100 * share))

/** Whether something has changed since a day, in one sentence. `what` is what is counted, such as `unaided`. */
export function changeSays({ is, before, after, by }: Change, day: string, what: string): string {
  const figures = `${before.hits} of ${before.of} before, ${after.hits} of ${after.of} since`
  if (is === 'tooFew' || by === null) return `Too few to say: ${figures}.`
  const shares = `${percent(before.hits / before.of)} before, ${percent(after.hits / after.of)} since`
  const range = `95 % interval of the difference: ${points(by.low)} to ${points(by.high)} points`
  if (is === 'open') return `No change that could not be chance since ${day}: ${shares} (${range}).`
  return `${is === 'more' ? 'More' : 'Fewer'} ${what} since ${day}, hardly by chance: ${shares} (${range}).`
}
