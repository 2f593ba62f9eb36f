/** One answer as a figure: who, which question, how far right, 0 to 1. */
export interface Answered {
  readonly person: number
  readonly code: string
  readonly score: number
}

export interface ItemStatistics {
  readonly code: string
  readonly answers: number
  /** Mean score, 0 (nobody) to 1 (everybody); null where too few answered. */
  readonly facility: number | null
  /** Correlation of this question with the rest of the same people's answers, −1 to 1; null where too few. */
  readonly discrimination: number | null
}

/** Fewer answers than this say nothing about a question. */
export const TOO_FEW = 12

/**
 * Facility and discrimination of each question; the discrimination index is the corrected item–rest correlation.
 * Source: classical test theory, as in Crocker and Algina, Introduction to Classical and Modern Test Theory
 * (from memory).
 */
export function itemStatistics(answers: readonly Answered[]): ItemStatistics[] {
  const byCode = groupBy(answers, ({ code }) => code)
  const byPerson = groupBy(answers, ({ person }) => String(person))
  return [...byCode].map(([code, own]) => {
    if (own.length < TOO_FEW) return { code, answers: own.length, facility: null, discrimination: null }
    const pairs = own.flatMap(({ person, score }) => {
      const rest = byPerson.get(String(person))!.filter((other) => other.code !== code)
      return rest.length > 0 ? [[score, mean(rest.map((other) => other.score))] as const] : []
    })
    return {
      code,
      answers: own.length,
      facility: mean(own.map(({ score }) => score)),
      discrimination: pairs.length < TOO_FEW ? null : correlation(pairs),
    }
  })
}

function groupBy<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) group.push(item)
    else groups.set(key(item), [item])
  }
  return groups
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** Pearson's r; null where one side does not vary. */
export function correlation(pairs: readonly (readonly [number, number])[]): number | null {
  const [mx, my] = [mean(pairs.map(([x]) => x)), mean(pairs.map(([, y]) => y))]
  let [xy, xx, yy] = [0, 0, 0]
  for (const [x, y] of pairs) {
    xy += (x - mx) * (y - my)
    xx += (x - mx) ** 2
    yy += (y - my) ** 2
  }
  return xx < 1e-12 || yy < 1e-12 ? null : xy / Math.sqrt(xx * yy)
}
