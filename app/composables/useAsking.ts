import type { AskedOutcome } from '#core/questions/outcome'
import type { Question } from '#core/questions/question'
import type { Moment } from '#core/questions/topics'
import type { RoundView } from '#schemas/question-views'
import type { Asked } from '#schemas/questions'

/** One question of a round, asked here, with its place among the fields. */
export interface AskedHere extends Asked {
  readonly token: string
  readonly isUndone: boolean
}

/** What was asked, out of the fields of a round. */
export function askedIn(fields: Readonly<Record<string, string>>): AskedHere[] {
  return Object.entries(fields)
    .flatMap(([name, text]) => {
      if (!name.startsWith('ask.') || text === '') return []
      const token = name.slice('ask.'.length)
      return [{ ...(JSON.parse(text) as Asked), token, isUndone: (fields[`undo.${token}`] ?? '') !== '' }]
    })
    .sort((a, b) => (a.askedAt < b.askedAt ? 1 : -1))
}

/**
 * A round of questions at a bay: what fits now, and what was asked. Everything is put down on this device first, and
 * goes to the server when it can be reached.
 */
export function useAsking(id: number) {
  const session = useSession()
  const last = useLastView()
  const { view, problem, autosave, load } = useKeptDocument<RoundView>({
    path: `asking/${id}`,
    key: `asking/${session.person!.id}/${id}`,
    what: 'Questions at a bay',
    shape: 'withoutEmpty',
  })
  const moment = ref<Moment>('dead')
  const whatIf = shallowRef<readonly Question[]>([])
  watch(view, (now, before) => {
    if (now && !before) moment.value = now.attempt.moment
  })

  const asked = computed(() => askedIn(autosave.fields))
  const done = computed(
    () => new Set(asked.value.filter(({ isUndone }) => !isUndone).map(({ code }) => code)),
  )
  /** What fits this moment and was not asked in this round; one “what would happen if” among them. */
  const offered = computed(() => {
    const fitting = (view.value?.offered[moment.value] ?? []).map(({ question, reason }) => ({
      question,
      reason,
    }))
    const played = whatIf.value
      .filter(({ moments }) => moments.includes(moment.value))
      .slice(0, 2)
      .map((question) => ({ question, reason: 'whatIf' as const }))
    return [...fitting.slice(0, 4), ...played].filter(({ question }) => !done.value.has(question.code))
  })

  async function start(): Promise<void> {
    await load()
    // Computed at the bay’s model: it may come a moment later.
    whatIf.value = await last.read<readonly Question[]>(`asking/${id}/what-if`).then(
      ({ view: questions }) => questions,
      () => [],
    )
    await readAhead()
  }

  /** The next bays are read on this device before the network may be gone there. */
  async function readAhead(): Promise<void> {
    for (const other of view.value?.others ?? []) {
      if (!navigator.onLine || isGone) return
      for (const path of [`asking/${other.id}`, `asking/${other.id}/what-if`])
        await last.read(path).catch(() => null)
    }
  }
  let isGone = false
  onBeforeUnmount(() => (isGone = true))

  /** Two taps put it down: the question, and how it went. */
  function putDown(
    question: Pick<Question, 'code' | 'text' | 'topic'>,
    outcome: AskedOutcome,
    { prompt = '', remark = '' }: { readonly prompt?: string; readonly remark?: string } = {},
  ): string {
    const token = crypto.randomUUID()
    const entry: Asked = {
      code: question.code,
      wording: question.text,
      topic: question.topic,
      outcome,
      prompt,
      remark,
      askedAt: new Date().toISOString(),
    }
    autosave.write(`ask.${token}`, JSON.stringify(entry))
    return token
  }
  const takeBack = (token: string): void => autosave.write(`undo.${token}`, new Date().toISOString())

  return { view, problem, autosave, moment, offered, asked, start, putDown, takeBack }
}
