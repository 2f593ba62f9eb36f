import type { BayState } from '../../bay/behaviour/state'
import type { Rig } from '../../bay/model/rig'
import type { BayTest } from '../kinds/kind'
import type { PrepareOptions } from '../setup/bench-state'
import type { Prepared } from '../setup/prepared'
import { prepareTest } from './predict'

/** How a test is made at the known bay, and what its setting is called. */
export interface Own {
  readonly prepared: Prepared
  readonly key: string
}

/** What is the same for two of these has the same short name: it is asked for at every reading. */
class ShortNames {
  private readonly known = new Map<string, string>()
  of(text: string): string {
    const name = this.known.get(text) ?? String(this.known.size)
    this.known.set(text, name)
    return name
  }
}

/** How each test is made at one bay, worked out when it is first asked for. */
export class Settings {
  private readonly own = new Map<string, Map<string, Own | null>>()
  private readonly names = new ShortNames()
  private readonly states = new ShortNames()
  private readonly stateNames = new WeakMap<BayState, string>()

  constructor(private readonly known: Rig) {}

  /** Of every test made in this way; null for one that this bay has nothing to put to. */
  madeWith(options: PrepareOptions): (test: BayTest) => Own | null {
    const name = Object.entries(options).join(' ')
    const made = this.own.get(name) ?? new Map<string, Own | null>()
    this.own.set(name, made)
    return (test) => {
      const found = made.get(test.key)
      if (found !== undefined) return found
      const prepared = prepareTest(this.known, test, options)
      const own = prepared ? { prepared, key: this.nameOf(prepared) } : null
      made.set(test.key, own)
      return own
    }
  }

  /** The name of a setting: how the bay stands, and what was taken out and linked. */
  nameOf({ setup: { freed, links }, state }: Prepared): string {
    const ends = freed.map(({ wire, end }) => `${wire}:${end}`).join()
    return this.names.of(`${this.stateName(state)} ${ends} ${links.join(';')}`)
  }

  private stateName(state: BayState): string {
    const name = this.stateNames.get(state) ?? this.states.of(JSON.stringify(state))
    this.stateNames.set(state, name)
    return name
  }
}

const isSameMarks = (a: Readonly<Record<string, boolean>>, b: Readonly<Record<string, boolean>>): boolean => {
  if (a === b) return true
  const keys = Object.keys(a)
  return keys.length === Object.keys(b).length && keys.every((key) => a[key] === b[key])
}

/** Is a test made the same way at two bays? */
export function isSameSetting(
  { state: a, setup: one }: Prepared,
  { state: b, setup: other }: Prepared,
): boolean {
  return (
    (a === b ||
      (a.isSupplyOn === b.isSupplyOn &&
        isSameMarks(a.closed, b.closed) &&
        isSameMarks(a.thrown, b.thrown) &&
        isSameMarks(a.inUse, b.inUse) &&
        isSameMarks(a.running, b.running) &&
        isSameMarks(a.testing, b.testing))) &&
    one.freed.length === other.freed.length &&
    one.links.length === other.links.length &&
    one.freed.every(({ wire, end }, i) => wire === other.freed[i]!.wire && end === other.freed[i]!.end) &&
    one.links.every(([from, to], i) => from === other.links[i]![0] && to === other.links[i]![1])
  )
}
