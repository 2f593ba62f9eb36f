import { CABLES, type CableKind, type Method } from '../regulations/cables'
import { AMBIENT_FACTOR, type GroupingArrangement } from '../regulations/rating-factors'
import type { Curve, DeviceFamily } from '../regulations/breakers'
import type { Arrangement } from '../regulations/supply'
import { parseQuantity } from '../units/parse'
import { QUANTITIES, type QuantityKey } from '../units/quantity'
import type { Exercise } from './exercise'
import { RANGES, type RangeKey } from './ranges'
import type { Load, Task } from './task'

export const FORM_FIELDS = [
  'code', 'title', 'circuitName', 'scenario', 'arrangement', 'ze', 'ipf', 'use', 'premises', 'location', 'concealed', 'basis', 'power', 'powerFactor',
  'current', 'length', 'cable', 'method', 'ambient', 'circuits', 'bunching', 'family', 'curve', 'residual', 'seed', 'lengthSpread', 'loadSpread', 'criteria',
] as const

export type FormField = (typeof FORM_FIELDS)[number]

/** What a box with a list may hold. */
const CHOICES: Readonly<Partial<Record<FormField, readonly string[]>>> = {
  arrangement: ['TN-S', 'TN-C-S', 'TT'], use: ['sockets', 'lighting', 'fixed'], premises: ['dwelling', 'commercial', 'industrial'],
  location: ['general', 'bathroom', 'outdoors'], concealed: ['yes', 'no'], basis: ['power', 'current'], cable: Object.keys(CABLES),
  method: ['A', 'B', 'C', '100', '101', '102', '103'], bunching: ['bunched', 'single-layer'], family: ['breaker', 'rcbo'], curve: ['B', 'C', 'D'],
  residual: ['none', '30', '100', '300'], circuits: ['1', '2', '3', '4', '5', '6', '7', '8', '9'], ambient: [...AMBIENT_FACTOR.keys()].map(String),
}

/** An exercise as it stands in the boxes of a form: text as typed, whatever it may be. */
export type ExerciseForm = Record<FormField, string>

export interface ReadForm {
  /** Present when every box could be read. */
  readonly exercise?: Exercise
  /** The task alone, so that a design can be shown while titles are still empty. */
  readonly task?: Task
  readonly problems: Readonly<Partial<Record<FormField, string>>>
}

const LIST = ' '

/** The form that shows this exercise. */
export function toForm(exercise: Exercise): ExerciseForm {
  const { task, variants } = exercise
  const { load } = task
  return {
    code: exercise.code, title: exercise.title, circuitName: exercise.circuitName, scenario: exercise.scenario,
    arrangement: task.supply.arrangement, ze: String(task.supply.zeOhm), ipf: `${task.supply.ipfA / 1e3} kA`,
    use: task.use, premises: task.premises, location: task.location, concealed: task.concealed ? 'yes' : 'no',
    basis: load.basis, power: load.basis === 'power' ? String(load.powerW) : '', current: load.basis === 'current' ? String(load.currentA) : '',
    powerFactor: String(load.powerFactor), length: String(task.lengthM), cable: task.cable.kind, method: task.cable.method,
    ambient: String(task.ambientC), circuits: String(task.grouping.circuits), bunching: task.grouping.arrangement,
    family: task.device.family, curve: task.device.curve, residual: task.residualA === null ? 'none' : String(task.residualA * 1e3),
    seed: String(variants.seed), lengthSpread: percent(variants.lengthSpread), loadSpread: percent(variants.loadSpread), criteria: exercise.criteria.join(LIST),
  }
}

/** Reads the form. Each box that cannot be read gets a sentence that says what is expected there. */
export function readForm(form: ExerciseForm, measuredZs: Task['measuredZs']): ReadForm {
  const problems: Partial<Record<FormField, string>> = {}
  for (const [field, choices] of Object.entries(CHOICES) as [FormField, readonly string[]][]) {
    if (!choices.includes(form[field])) problems[field] = 'Choose one from the list.'
  }
  const quantity = (field: FormField, key: QuantityKey, range: RangeKey): number => {
    const parsed = parseQuantity(form[field], key)
    if (parsed.ok) {
      const out = outOfRange(parsed.value, range, key)
      if (out) problems[field] = out
      return parsed.value
    }
    problems[field] = unreadable(parsed.problem, key)
    return Number.NaN
  }
  const words = (field: FormField, longest: number): string => {
    const text = form[field].trim()
    if (text === '') problems[field] = 'Fill this in.'
    else if (text.length > longest) problems[field] = `At most ${longest} characters.`
    return text
  }

  const load: Load = form.basis === 'current'
    ? { basis: 'current', currentA: quantity('current', 'current', 'currentA'), powerFactor: quantity('powerFactor', 'factor', 'powerFactor') }
    : { basis: 'power', powerW: quantity('power', 'power', 'powerW'), powerFactor: quantity('powerFactor', 'factor', 'powerFactor') }
  const task: Task = {
    supply: { arrangement: form.arrangement as Arrangement, zeOhm: quantity('ze', 'resistance', 'zeOhm'), ipfA: quantity('ipf', 'faultCurrent', 'ipfA') },
    use: form.use as Task['use'], premises: form.premises as Task['premises'], location: form.location as Task['location'], concealed: form.concealed === 'yes',
    load,
    lengthM: quantity('length', 'length', 'lengthM'),
    cable: { kind: form.cable as CableKind, method: form.method as Method },
    ambientC: Number(form.ambient),
    grouping: { circuits: Number(form.circuits), arrangement: form.bunching as GroupingArrangement },
    device: { family: form.family as DeviceFamily, curve: form.curve as Curve },
    residualA: form.residual === 'none' ? null : Number(form.residual) / 1e3,
    measuredZs,
  }
  if (task.device.family === 'rcbo' && task.residualA === null) problems.residual = 'An RCBO has a residual function: choose its rating, or a breaker.'
  const isTaskRead = Object.keys(problems).length === 0

  const code = words('code', 20)
  if (code && !/^[A-Za-z0-9][A-Za-z0-9.-]*$/.test(code)) problems.code = 'Letters, digits, points and hyphens only.'
  const criteria = form.criteria.split(LIST).filter(Boolean)
  if (criteria.length === 0) problems.criteria = 'Choose at least one criterion that this exercise evidences.'
  const exercise: Exercise = {
    format: 'nakshi.exercise', version: 1, edition: '18-A2', code, title: words('title', 120), circuitName: words('circuitName', 80), scenario: form.scenario.trim(), task,
    variants: {
      seed: Math.round(quantity('seed', 'factor', 'seed')),
      lengthSpread: quantity('lengthSpread', 'factor', 'spread'),
      loadSpread: quantity('loadSpread', 'factor', 'spread'),
    },
    criteria,
  }
  return { problems, task: isTaskRead ? task : undefined, exercise: Object.keys(problems).length === 0 ? exercise : undefined }
}

function outOfRange(value: number, key: RangeKey, quantity: QuantityKey): string | undefined {
  const range: { min?: number; above?: number; max: number } = RANGES[key]
  const show = (limit: number) => (key === 'spread' ? percent(limit) : `${limit * QUANTITIES[quantity].scale} ${QUANTITIES[quantity].unit}`.trim())
  if (range.above !== undefined && value <= range.above) return `Must be more than ${show(range.above)}.`
  if (range.min !== undefined && value < range.min) return `Must be ${show(range.min)} or more.`
  if (value > range.max) return `Must be ${show(range.max)} or less.`
  return undefined
}

function unreadable(problem: 'empty' | 'notANumber' | 'otherUnit' | 'negative', key: QuantityKey): string {
  const { unit } = QUANTITIES[key]
  if (problem === 'empty') return 'Fill this in.'
  if (problem === 'negative') return 'Must be more than 0; a negative value has no meaning here.'
  if (problem === 'otherUnit') return `The unit does not fit. ${unit ? `Use ${unit}.` : 'No unit here.'}`
  return `Write a number${unit ? ` in ${unit}` : ''}.`
}

const percent = (fraction: number): string => `${Math.round(fraction * 100)} %`
