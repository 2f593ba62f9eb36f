import { memberText } from './labels'
import { listed } from './numbers'

/** What a task closes: `one occasion of T2; trunking`. */
export function fillsSays(keys: readonly string[]): string {
  const criteria = keys.filter((key) => key.startsWith('criterion ')).map((key) => key.split(' ')[1]!)
  const members = keys.filter((key) => key.startsWith('member ')).map((key) => memberText(key.split(' ')[2]!))
  return [
    ...(criteria.length > 0 ? [`one occasion of ${listed(criteria)}`] : []),
    ...(members.length > 0 ? [listed(members)] : []),
    ...(keys.some((key) => key.startsWith('free ')) ? ['something new of its sort'] : []),
    ...(keys.some((key) => key.startsWith('job ')) ? ['a job in a setting that counts'] : []),
  ].join('; ')
}

/** How the next best compares. */
export const secondSays = (code: string, less: number): string =>
  less < 1e-6 ? `${code} would close as much` : `next best is ${code}, which closes ${Math.round(less)} less`
