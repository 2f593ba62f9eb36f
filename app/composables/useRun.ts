import { billOf } from '#core/containment/bill'
import { drawSections, pullOf } from '#core/containment/draw'
import { runProblems } from '#core/containment/check'
import type { Piece } from '#core/containment/cutting'
import { addStraight, readRun, removeStraight, type RunFields } from '#core/containment/form'
import { sizeOf, stockMm as stockOf, type Direction } from '#core/containment/containment-run'
import { keep } from '~/utils/keep'
import { expansionMm, supportsOf } from '#core/containment/supports'
import { tubesOf } from '#core/containment/tubes'
import { bookOf } from '#core/regulations/book/book'
import { conduitFactor, conduitTerms, trunkingTerms } from '#core/regulations/book/drawn-in'
import { TRUNKING, type ConduitMm } from '#core/regulations/containment'
import { PRESENT_EDITION } from '#core/regulations/editions'
import { runSentence } from '#words/containment'
import type { RunView } from '#schemas/workmanship-views'

/** A run as it is typed and dragged, and everything that follows from it. */
export function useRun(id: number) {
  const { view, problem, autosave, load } = useKeptSheet<RunView>(`runs/${id}`, 'Containment run')
  const inForce = useBookInForce().data
  const selected = ref<number | null>(null)

  const read = computed(() => readRun(autosave.fields))
  /** What is drawn holds the last readable run while a box is being retyped. */
  let last: NonNullable<typeof read.value.sheet> | null = null
  const sheet = computed(() => (read.value.sheet ? (last = read.value.sheet) : last))
  const problemsOf = (one: typeof last) => (one ? runProblems(one.run, one.former, one.mostRightAngles) : [])
  const problems = computed(() => problemsOf(sheet.value))
  // The same words are the same table: nothing is drawn anew while a length changes and nothing is said of it.
  const said = computed(() =>
    JSON.stringify(problems.value.map((one) => [one.straight, runSentence(one)] as const)),
  )
  const sentences = computed<ReadonlyMap<number, readonly string[]>>(() => {
    const byStraight = new Map<number, string[]>()
    for (const [straight, sentence] of JSON.parse(said.value) as [number, string][])
      byStraight.set(straight, [...(byStraight.get(straight) ?? []), sentence])
    return byStraight
  })
  const boxProblems = computed<Readonly<Record<string, string>>>((old) => keep(old, read.value.problems))
  // The run is drawn under the hand first; what is cut, drawn in and ordered for it follows.
  const { followed: laid } = useFollowed(sheet)
  const isSound = computed(() =>
    problemsOf(laid.value).every(({ code }) => code === 'tooManyBends' || code === 'tooLong'),
  )
  const tubes = computed(() =>
    laid.value && isSound.value ? tubesOf(laid.value.run, laid.value.former) : [],
  )
  const supports = computed(() =>
    laid.value && isSound.value ? supportsOf(laid.value.run, laid.value.former) : [],
  )
  const supportsAt = computed(() => supports.value.map(({ at }) => at))
  const pieces = computed<Piece[]>(() =>
    laid.value && laid.value.run.made !== 'tray'
      ? Array.from({ length: laid.value.bays }, (_, bay) =>
          tubes.value.map((tube, i) => ({
            name: `bay ${bay + 1} · ${i + 1}`,
            lengthMm: Math.round(tube.cutMm),
          })),
        ).flat()
      : [],
  )
  const stockMm = computed(() => stockOf(laid.value?.run ?? { made: 'conduit', material: 'pvc' }))
  const cutting = useCutting(() =>
    pieces.value.length ? { pieces: pieces.value, stockMm: stockMm.value } : null,
  )
  const sections = computed(() =>
    laid.value && isSound.value
      ? drawSections(laid.value.run).map((section) => ({
          ...section,
          ...pullOf(section),
          ...fill(section.lengthMm / 1000, section.rightAngles),
        }))
      : [],
  )

  /** How full a section is, by the factor method; nothing where no conductors are named. */
  function fill(
    metres: number,
    rightAngles: number,
  ): { readonly terms: number | null; readonly takes: number | null } {
    const areas = laid.value!.areasMm2
    const { made, sizeMm } = laid.value!.run
    const { words } = sizeOf(laid.value!.run)
    const { values } = bookOf(PRESENT_EDITION, inForce.value?.changes)
    if (areas.length === 0 || made === 'tray') return { terms: null, takes: null }
    if (made === 'trunking')
      return {
        terms: trunkingTerms(values, areas) ?? null,
        takes: TRUNKING.find(({ size }) => words.startsWith(size))?.factor ?? null,
      }
    const drawn = { betweenBoxesM: metres, bends: Math.round(rightAngles) }
    return {
      terms: conduitTerms(values, areas, drawn) ?? null,
      takes: conduitFactor(values, sizeMm as ConduitMm, drawn),
    }
  }

  const fittings = computed(() => (laid.value ? billOf(laid.value, tubes.value, supports.value) : []))
  const expansion = computed(() =>
    laid.value?.run.material === 'pvc'
      ? laid.value.run.straights.map(({ lengthMm }) => expansionMm(lengthMm, laid.value!.spanK))
      : [],
  )

  function change(next: RunFields): void {
    for (const key of new Set([...Object.keys(autosave.fields), ...Object.keys(next)]))
      if ((next[key] ?? '') !== (autosave.fields[key] ?? '')) autosave.write(key, next[key] ?? '')
  }
  const idOf = (straight: number) => (autosave.fields.order ?? '').split(' ')[straight]
  return {
    view,
    problem,
    autosave,
    load,
    selected,
    boxProblems,
    isReadable: computed(() => read.value.sheet !== undefined),
    sheet,
    problems,
    sentences,
    tubes,
    supports,
    supportsAt,
    cutting,
    stockMm,
    sections,
    fittings,
    expansion,
    add: (to: Direction) => {
      change(addStraight(autosave.fields, to))
      selected.value = (autosave.fields.order ?? '').split(' ').length - 1
    },
    remove: (one: string) => change(removeStraight(autosave.fields, one)),
    setLength: (straight: number, mm: number) => autosave.write(`${idOf(straight)}.length`, String(mm)),
  }
}
