import { layoutBay } from '#core/bay/layout/layout'
import { routeWires } from '#core/bay/layout/route'
import { FROM_BARE } from '#core/bay/mount/box'
import { wiredOn } from '#core/bay/mount/mounted'
import type { Colour, TerminalRef } from '#core/bay/model/rig'
import { indexParts, partIdOf, roomOf, terminalWords } from '#core/bay/model/terminals'
import { applyWiring, wireField } from '#core/bay/model/wiring'
import { rigSentence } from '#words/rig-problems'
import { warn } from '~/utils/warn'
import type { BayCheck, BayView } from '#schemas/bay-views'

type Change = readonly { readonly name: string; readonly before: string; readonly after: string }[]

const MOST_UNDO = 300
const newId = (): string => `n${crypto.getRandomValues(new Uint32Array(1))[0]!.toString(36)}`

/** A bay being wired: what the server has, what is connected here, undo, and the check against the schedule. */
export function useBayWiring(key: string) {
  const { call } = useApi()
  const session = useSession()
  const checked = shallowRef<BayCheck | null>(null)
  const undone = shallowRef<readonly Change[]>([])
  const isBusy = ref(false)

  const { view, problem, autosave, load } = useKeptDocument<BayView>({
    path: `bays/${key}`,
    key: `bay/${session.person!.id}/${key}`,
    what: 'Wiring of a bay',
    shape: 'withoutEmpty',
  })

  const mounting = useMounting(view, autosave.fields)
  const { isBare, base } = mounting
  const rig = computed(() => {
    if (!view.value || !base.value) return null
    const { routes } = view.value
    return isBare.value
      ? wiredOn(base.value, routes, autosave.fields)
      : applyWiring(base.value, routes, autosave.fields)
  })
  const parts = computed(() => indexParts(base.value ?? { parts: [] }))
  const layout = computed(() => (base.value ? layoutBay(base.value, mounting.rails.value) : null))
  const paths = computed(() =>
    layout.value && rig.value ? routeWires(layout.value, rig.value.wires) : new Map(),
  )
  /** Conductors that somebody has put in, in the order of doing so. */
  const made = computed(() => rig.value?.wires.slice(base.value!.wires.length) ?? [])

  function change(fields: Readonly<Record<string, string>>): void {
    const done = Object.entries({ ...mounting.proofsLost(fields), ...fields })
      .map(([name, after]) => ({ name, before: autosave.fields[name] ?? '', after }))
      .filter(({ before, after }) => before !== after)
    if (done.length === 0) return
    undone.value = [...undone.value, done].slice(-MOST_UNDO)
    checked.value = null
    done.forEach(({ name, after }) => autosave.write(name, after))
  }

  function undo(): void {
    const last = undone.value.at(-1)
    if (!last) return
    undone.value = undone.value.slice(0, -1)
    checked.value = null
    last.forEach(({ name, before }) => autosave.write(name, before))
  }

  /** Conductors at a terminal. */
  const at = (ref: TerminalRef) => rig.value?.wires.filter(({ from, to }) => from === ref || to === ref) ?? []

  /** Connects two terminals; a sentence where that cannot be. */
  function connect(from: TerminalRef, to: TerminalRef, areaMm2: number, colour: Colour): string | null {
    if (from === to) return 'Both ends are at the same terminal. Choose another one for the second end.'
    for (const ref of [from, to]) {
      const room = roomOf(parts.value.get(partIdOf(ref))!)
      if (at(ref).length >= room)
        return rigSentence({
          code: 'terminalFull',
          where: ref,
          params: { terminal: terminalWords(parts.value, ref), room, count: at(ref).length },
        })
    }
    change({ [`wire.${newId()}`]: wireField({ from, to, areaMm2, colour }) })
    return null
  }

  const takeOut = (ids: readonly string[]): void =>
    change(Object.fromEntries(ids.map((id) => [`wire.${id}`, ''])))
  function alter(id: string, next: { areaMm2?: number; colour?: Colour }): void {
    const wire = rig.value?.wires.find((candidate) => candidate.id === id)
    if (wire) change({ [`wire.${id}`]: wireField({ ...wire, ...next }) })
  }

  /**
   * As it would be when finished, for a bay to practise on. Nothing is changed where `mayChange` says no by the time
   * that it has come.
   */
  async function takeWired(mayChange: () => boolean): Promise<void> {
    const { fields } = await call<{ fields: Record<string, string> }>('GET', `bays/${key}/wired`)
    if (!mayChange()) return
    change({ ...Object.fromEntries(Object.keys(autosave.fields).map((name) => [name, ''])), ...fields })
  }
  const emptied = () => Object.fromEntries(Object.keys(autosave.fields).map((name) => [name, '']))
  /** Nothing done yet; a bay that was begun with an empty enclosure begins so again. */
  const strip = (): void =>
    change({ ...emptied(), ...(isBare.value && !view.value!.isBare ? { [FROM_BARE]: 'yes' } : {}) })
  /** From an empty enclosure, or with everything mounted again. */
  const beginBare = (bare: boolean): void => change({ ...emptied(), [FROM_BARE]: bare ? 'yes' : '' })

  async function check(): Promise<void> {
    isBusy.value = true
    try {
      await autosave.flush()
      if (autosave.state.value === 'saved') {
        const looked = rig.value
        const found = await call<BayCheck>('POST', `bays/${key}/check`)
        if (looked === rig.value) checked.value = found
        else warn('Something was moved while it was checked. Check again.')
      } else
        showProblem(
          new ApiProblem(
            0,
            'offline',
            autosave.message.value || 'This could not be saved yet. Check again in a moment.',
          ),
        )
    } catch (error) {
      showProblem(error)
    } finally {
      isBusy.value = false
    }
  }

  return {
    view,
    problem,
    rig,
    parts,
    layout,
    paths,
    made,
    checked,
    isBusy,
    canUndo: computed(() => undone.value.length > 0),
    autosave,
    load,
    change,
    undo,
    at,
    connect,
    takeOut,
    alter,
    takeWired,
    strip,
    mounting,
    beginBare,
    check,
  }
}
