/* Networks larger than any one bay. */
import { EARTH, type Network } from '#core/bay/network/network'

/** So many bays of one kind side by side on one supply, as in a workshop. */
export function sideBySide({ elements, hertz }: Network, count: number): Network {
  const star = elements.find(({ kind }) => kind === 'source')!.from
  const supply = star.slice(0, star.indexOf(':'))
  const isShared = (node: string): boolean =>
    node === EARTH || node.startsWith(`${supply}:`) || node.startsWith(`${supply}.`)
  const shared = elements.filter(({ from, to }) => isShared(from) && isShared(to))
  const own = elements.filter(({ from, to }) => !(isShared(from) && isShared(to)))
  const bays = Array.from({ length: count }, (_, k) => {
    const at = (node: string): string => (isShared(node) ? node : `bay ${k + 1} ${node}`)
    return own.map((element) => ({
      ...element,
      name: `bay ${k + 1} ${element.name}`,
      from: at(element.from),
      to: at(element.to),
    }))
  })
  return { hertz, elements: [...shared, ...bays.flat()] }
}
