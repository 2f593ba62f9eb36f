/**
 * The two laws an apprentice meets first, as a wheel of four quantities: any two give the other two. Direct
 * current, or a load of power factor 1.
 */
export const WHEEL = ['V', 'I', 'R', 'P'] as const
export type WheelKey = (typeof WHEEL)[number]
export type WheelValues = Readonly<Partial<Record<WheelKey, number>>>

export interface Solved {
  readonly values: Readonly<Record<WheelKey, number>>
  /** Each quantity that was worked out: its formula and the figures put in. */
  readonly steps: readonly { readonly key: WheelKey; readonly formula: string; readonly working: string }[]
}

interface Law {
  readonly from: readonly [WheelKey, WheelKey]
  readonly to: WheelKey
  readonly formula: string
  readonly work: (a: number, b: number) => number
  readonly put: (a: string, b: string) => string
}

const LAWS: readonly Law[] = [
  { from: ['I', 'R'], to: 'V', formula: 'V = I × R', work: (i, r) => i * r, put: (i, r) => `${i} × ${r}` },
  { from: ['V', 'R'], to: 'I', formula: 'I = V ÷ R', work: (v, r) => v / r, put: (v, r) => `${v} ÷ ${r}` },
  { from: ['V', 'I'], to: 'R', formula: 'R = V ÷ I', work: (v, i) => v / i, put: (v, i) => `${v} ÷ ${i}` },
  { from: ['V', 'I'], to: 'P', formula: 'P = V × I', work: (v, i) => v * i, put: (v, i) => `${v} × ${i}` },
  { from: ['P', 'V'], to: 'I', formula: 'I = P ÷ V', work: (p, v) => p / v, put: (p, v) => `${p} ÷ ${v}` },
  { from: ['P', 'I'], to: 'V', formula: 'V = P ÷ I', work: (p, i) => p / i, put: (p, i) => `${p} ÷ ${i}` },
  {
    from: ['P', 'R'],
    to: 'V',
    formula: 'V = √(P × R)',
    work: (p, r) => Math.sqrt(p * r),
    put: (p, r) => `√(${p} × ${r})`,
  },
]

/** Works the two that are missing; undefined unless exactly two values above 0 are given. */
export function solveWheel(given: WheelValues): Solved | undefined {
  const known = new Map(
    WHEEL.flatMap((key) => (given[key] !== undefined && given[key] > 0 ? [[key, given[key]] as const] : [])),
  )
  if (known.size !== 2) return undefined
  const steps: Solved['steps'][number][] = []
  while (known.size < WHEEL.length) {
    const law = LAWS.find(({ from, to }) => !known.has(to) && from.every((key) => known.has(key)))!
    const [a, b] = [known.get(law.from[0])!, known.get(law.from[1])!]
    known.set(law.to, law.work(a, b))
    steps.push({ key: law.to, formula: law.formula, working: law.put(short(a), short(b)) })
  }
  return { values: Object.fromEntries(known) as Record<WheelKey, number>, steps }
}

const short = (value: number): string => String(Number(value.toPrecision(4)))
