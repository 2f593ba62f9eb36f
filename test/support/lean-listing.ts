import type { SpiceListing } from '#core/bay/network/spice'

/** So often the analysis is made for its own time, which a clock of milliseconds tells of one alone badly. */
export const ANALYSES = 100

/**
 * The leanest listing of the same network: no ammeters, no remarks, and one line that prints the voltages of
 * all nodes.
 */
export function leanListing({ text, nodes }: SpiceListing): string {
  const lines = text.split('\n').filter((line) => !line.startsWith('*') && !line.startsWith('print '))
  const before = new Map(
    lines.flatMap((line) => {
      const [name, from, inner] = line.split(' ')
      return name!.startsWith('VM') ? [[inner!, from!] as const] : []
    }),
  )
  const wanted = [...nodes.values()].filter((node) => node !== '0').map((node) => `v(${node})`)
  return lines
    .filter((line) => !line.startsWith('VM'))
    .map((line) =>
      /^[A-Z]+\d+ /.test(line)
        ? line
            .split(' ')
            .map((word, i) => (i === 1 || i === 2 ? (before.get(word) ?? word) : word))
            .join(' ')
        : line,
    )
    .flatMap((line) => (line === '.endc' ? [`print ${wanted.join(' ')}`, line] : [line]))
    .join('\n')
}

/** The analysis alone, many times over, with the time that it takes by its own account. */
export const timedListing = (lean: string): string =>
  lean
    .split('\n')
    .filter((line) => !line.startsWith('print '))
    .flatMap((line) =>
      line.startsWith('ac lin') || line === 'op' ? [`repeat ${ANALYSES}`, line, 'end', 'rusage all'] : [line],
    )
    .join('\n')
