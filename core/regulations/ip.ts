const SOLIDS = ['2', '4', '5', '6'] as const
const WATER = ['X', '1', '4', '5', '7'] as const

/** A degree of protection of BS EN 60529, such as `IP44`; X where the water figure is not asked for. */
export type IpDegree = `IP${(typeof SOLIDS)[number]}${(typeof WATER)[number]}`
/** Those that places ask for; finger-proof (IP2X) is the least anywhere. */
export const IP_DEGREES: readonly IpDegree[] = SOLIDS.flatMap((solids) =>
  WATER.map((water): IpDegree => `IP${solids}${water}`),
)

const figuresOf = (degree: IpDegree): readonly [number, number] => [
  Number(degree[2]),
  degree[3] === 'X' ? 0 : Number(degree[3]),
]

/** The least degree that meets every one of several, figure by figure; undefined of none. */
export function strictest(degrees: readonly IpDegree[]): IpDegree | undefined {
  const figures = degrees.map(figuresOf)
  return IP_DEGREES.find((degree) => {
    const [solids, water] = figuresOf(degree)
    return (
      figures.length > 0 &&
      Math.max(...figures.map(([first]) => first)) === solids &&
      Math.max(...figures.map(([, second]) => second)) === water
    )
  })
}
