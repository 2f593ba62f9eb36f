import { computed, nextTick, ref, type ComputedRef, type Ref } from 'vue'
import { localIsoDay, localTime } from '#words/day'
import { equip } from '#core/planning/assign'
import { conflictsOf } from '#core/planning/conflicts'
import { costOf } from '#core/planning/cost'
import { dayConflicts } from '#core/planning/facts'
import { pairsOf, type Pairing } from '#core/planning/pairs'
import { plannedMinutes } from '#core/planning/learn'
import {
  minuteOf,
  placementText,
  readSession,
  taskText,
  timeOfDay,
  type PlannedSession,
  type SessionFields,
} from '#core/planning/read-session'
import { lengthsOf, type Placement, type PlanTask, type SessionProblem } from '#core/planning/session'
import type { SessionView } from '#schemas/planning-views'
import type { PlanNames } from '#words/planning/says'
import { callable, plain, useWorker, WorkerFailure } from '~/composables/useWorker'
import type { PlannerOffer } from '~/utils/planner-offer'

/** The kept document of a session, as far as it is worked on here. */
interface Document {
  readonly view: Readonly<Ref<SessionView | null>>
  readonly autosave: { readonly fields: SessionFields; readonly write: (name: string, text: string) => void }
}

/** A session being planned: what is in its boxes, what is against it, what it costs, and every way to change it. */
export function usePlannedSession({ view, autosave }: Document) {
  const { fields, write } = autosave
  const dueOf = (id: number) => view.value?.instruments.find((one) => one.id === id)?.dueOn ?? ''
  const session = computed(() =>
    readSession(fields, (id) => dueOf(id) !== '' && (!fields.day || dueOf(id) >= fields.day)),
  )
  /** What is to be planned from a minute of the session on: what is locked or has begun stays. */
  function problemFrom(now: number): SessionProblem {
    const { frame, tasks, placements } = session.value
    const stays = ({ task: id, start }: Placement): boolean => {
      const task = tasks.find((one) => one.id === id)
      return task !== undefined && (task.isLocked || start - lengthsOf(task, frame.step).design < now)
    }
    return { frame: { ...frame, now }, tasks, fixed: placements.filter(stays) }
  }
  const conflicts = computed(() =>
    conflictsOf(session.value.frame, session.value.tasks, session.value.placements),
  )
  const against = computed(() => (view.value ? dayConflicts(session.value, view.value) : []))
  const cost = computed(() => costOf(problemFrom(0), session.value.placements))
  const byTask = computed(() => new Map(session.value.placements.map((one) => [one.task, one])))
  const taskById = computed(() => new Map(session.value.tasks.map((one) => [one.id, one])))

  const { names, code } = usePlanNames(view, session, taskById)

  /** Writes a whole plan: what has a place now, and nothing of what had one. */
  function layPlan(plan: readonly Placement[]): void {
    const next = new Map(plan.map((one) => [one.task, placementText(one)]))
    for (const { id } of session.value.tasks) {
      const text = next.get(id) ?? ''
      if ((fields[`place.${id}`] ?? '') !== text) write(`place.${id}`, text)
    }
  }
  /** A task somewhere else, or later; everybody and everything it needs is given out anew. */
  function move(
    id: string,
    to: { readonly bay?: number; readonly start?: number; readonly live?: number },
  ): void {
    const task = taskById.value.get(id)
    if (!task) return
    const lengths = lengthsOf(task, session.value.frame.step)
    const old = byTask.value.get(id)
    const start = Math.max(0, to.start ?? old?.start ?? lengths.design)
    const shift = old ? start - old.start : 0
    const live = Math.max(0, to.live ?? (old ? old.live + shift : start + lengths.bay))
    const bay = to.bay ?? old?.bay ?? session.value.frame.bays[0] ?? 1
    const moved: Placement = {
      task: id,
      bay,
      start,
      live,
      assessor: null,
      instrument: null,
      liveInstrument: null,
    }
    const others = session.value.placements.filter((one) => one.task !== id)
    layPlan(equip(session.value.frame, taskById.value, [...others, moved]))
  }
  const change = (task: PlanTask, parts: Partial<PlanTask>) =>
    write(`task.${task.id}`, taskText({ ...task, ...parts }))
  function remove(id: string): void {
    write(`task.${id}`, '')
    write(`place.${id}`, '')
  }
  function add(people: readonly number[], exerciseId: number, like?: PlanTask): void {
    const exercise = view.value?.exercises.find((one) => one.id === exerciseId)
    if (!exercise || people.length === 0) return
    const last = Math.max(0, ...session.value.tasks.map(({ id }) => Number(id.slice(1)) || 0))
    const id = `t${String(last + 1).padStart(3, '0')}`
    const minutes = like?.minutes ?? plannedMinutes(exercise.minutes, exercise.learnt)
    const isRepeat =
      like?.isRepeat ??
      view.value!.open.some(
        (one) => one.repeat !== null && one.exercise === exerciseId && people.includes(one.person),
      )
    write(`task.${id}`, taskText({ id, people, exercise: exerciseId, minutes, isRepeat, isLocked: false }))
  }
  /** Everybody by a policy: tasks of one exercise are paired or taken apart, with the minutes that they had. */
  function pair(pairing: Pairing): void {
    write('pairing', pairing)
    const before = session.value.tasks
    for (const exercise of new Set(before.map((task) => task.exercise))) {
      const tasks = before.filter((task) => task.exercise === exercise)
      const people = [...new Set(tasks.flatMap((task) => task.people))]
      for (const { id } of tasks) remove(id)
      for (const group of pairsOf(people, pairing, view.value?.lastPairs ?? []))
        add(
          group,
          exercise,
          tasks.find((task) => task.people.includes(group[0]!)),
        )
    }
  }

  const { state, stop, plan } = usePlanSearch(
    () => plain(problemFrom(goneBy(session.value, new Date()))),
    layPlan,
  )
  /** Somebody is absent, or here after all: the rest is planned again, from this minute on the day itself. */
  async function absent(id: number, isAbsent: boolean): Promise<void> {
    const others = session.value.frame.absent.filter((one) => one !== id)
    write('absent', [...others, ...(isAbsent ? [id] : [])].join(' '))
    await nextTick()
    await plan()
  }

  return {
    session,
    conflicts,
    against,
    cost,
    byTask,
    names,
    code,
    state,
    move,
    change,
    remove,
    add,
    pair,
    plan,
    absent,
    stop,
  }
}
export type PlannedSessionTools = ReturnType<typeof usePlannedSession>

/** A first plan at once, then the best; what is locked or begun stays. */
function usePlanSearch(problem: () => SessionProblem, lay: (plan: readonly Placement[]) => void) {
  const { call, stop } = useWorker<PlannerOffer>(
    () => new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' }),
  )
  const state = ref<'' | 'first' | 'best' | 'found'>('')
  async function plan(): Promise<void> {
    stop()
    state.value = ''
    const asked = problem()
    const onFirst = callable((first: readonly Placement[]) => {
      lay(first)
      state.value = 'first'
    })
    const found = await call((worker) => worker.planSession(asked, onFirst)).catch((error: unknown) => {
      if (error instanceof WorkerFailure && error.reason === 'stopped' && state.value === 'first') return null
      throw error
    })
    if (found) lay(found.plan)
    state.value = found?.isProved ? 'best' : 'found'
  }
  return { state, stop, plan }
}

/** Minutes of a session that have gone by, on its own day; before it nothing has. */
function goneBy({ day, from, frame }: PlannedSession, at: Date): number {
  if (day !== localIsoDay(at)) return 0
  return Math.max(0, Math.min(minuteOf(from, localTime(at)), frame.minutes))
}

/** What things of a session are called. */
function usePlanNames(
  view: Document['view'],
  session: ComputedRef<PlannedSession>,
  taskById: ComputedRef<ReadonlyMap<string, PlanTask>>,
) {
  const person = (id: number): string =>
    [...(view.value?.people ?? []), ...(view.value?.staff ?? [])].find((one) => one.id === id)?.name ??
    'somebody'
  const code = (id: number): string => view.value?.exercises.find((one) => one.id === id)?.code ?? '?'
  const names: PlanNames = {
    task: (id) => {
      const task = taskById.value.get(id)
      return task ? `${task.people.map(person).join(' and ')}, ${code(task.exercise)}` : id
    },
    person,
    instrument: (id) => view.value?.instruments.find((one) => one.id === id)?.name ?? 'An instrument',
    time: (minute) => timeOfDay(session.value.from, minute),
  }
  return { names, code }
}
