import { inOrder } from '../in-order'
import {
  ACT_KINDS,
  DEVICE_KINDS,
  INDICATORS,
  NOTICE_PARTS,
  PLACES,
  PROOFS,
  SECOND_SOURCES,
  type Act,
  type SecondSource,
} from './model/act'
import { LEVELS, type IsolationPolicy, type Level } from '../policies/isolation'
import type { Site } from './model/rule'

/**
 * An isolation as an assessor taps it, as flat text: `act.<time>` → the act, `undo.<time>`, `remark.<time>`,
 * and what was known before.
 */
export type ObservationFields = Readonly<Record<string, string>>

/** One tapped act, with when it was, what was remarked, and whether it was taken back. */
export interface ObservedAct {
  readonly key: string
  readonly act: Act
  readonly atIso: string
  readonly remark: string
  readonly isUndone: boolean
}

/** What is known of an observed isolation before it begins. */
export interface ObservationHead {
  readonly bay: string
  readonly circuit: string
  /** Of the indicator. */
  readonly serial: string
  readonly proofDate: string
  readonly level: Level
  readonly phases: 1 | 3
  readonly needsPermit: boolean
  readonly hasDependants: boolean
  readonly needsTwoPoles: boolean
  readonly secondSources: readonly SecondSource[]
  readonly workers: number
}

export const headOf = (fields: ObservationFields): ObservationHead => ({
  bay: fields['head.bay'] ?? '',
  circuit: fields['head.circuit'] ?? '',
  serial: fields['head.serial'] ?? '',
  proofDate: fields['head.proofDate'] ?? '',
  level: LEVELS.find((level) => level === fields['head.level']) ?? 'first',
  phases: fields['head.phases'] === '3' ? 3 : 1,
  needsPermit: fields['head.permit'] === 'yes',
  hasDependants: fields['head.dependants'] === 'yes',
  needsTwoPoles: fields['head.twoPoles'] === 'yes',
  secondSources: SECOND_SOURCES.filter((source) =>
    (fields['head.sources'] ?? '').split(' ').includes(source),
  ),
  workers: Math.max(1, Math.min(12, Number.parseInt(fields['head.workers'] ?? '1', 10) || 1)),
})

/** What the judge asks about the place, from what was put down before it began. */
export const siteOfHead = (fields: ObservationFields, policy: IsolationPolicy): Site => {
  const { bay: _bay, circuit: _circuit, serial: _serial, proofDate: _proofDate, ...facts } = headOf(fields)
  return { ...facts, policy }
}

/** An act as a field. */
export const actField = (act: Omit<Act, 'atS'>, atIso: string): readonly [key: string, text: string] => [
  `act.${atIso.replace(/\D/g, '')}`,
  JSON.stringify({ ...act, at: atIso }),
]

const oneOf = <T extends string>(all: readonly T[], value: unknown): T | undefined =>
  all.find((candidate) => candidate === value)

/** One field read as an act; undefined for text that is none. */
export function readAct(text: string): (Omit<Act, 'atS'> & { readonly at: string }) | undefined {
  let raw: Record<string, unknown>
  try {
    raw = JSON.parse(text) as Record<string, unknown>
  } catch {
    return undefined
  }
  const kind = oneOf(ACT_KINDS, raw?.kind)
  if (!kind || typeof raw.at !== 'string' || Number.isNaN(Date.parse(raw.at))) return undefined
  const truth = (value: unknown) => (typeof value === 'boolean' ? value : undefined)
  return {
    kind,
    at: raw.at,
    place: oneOf(PLACES, raw.place),
    indicator: oneOf(INDICATORS, raw.indicator),
    proof: oneOf(PROOFS, raw.proof),
    shows: truth(raw.shows),
    pairs: typeof raw.pairs === 'number' ? raw.pairs : undefined,
    atPoint: truth(raw.atPoint),
    isMain: truth(raw.isMain),
    deviceKind: oneOf(DEVICE_KINDS, raw.deviceKind),
    source: oneOf(SECOND_SOURCES, raw.source),
    content: Array.isArray(raw.content)
      ? NOTICE_PARTS.filter((part) => (raw.content as unknown[]).includes(part))
      : undefined,
    device: typeof raw.device === 'string' && raw.device.trim() !== '' ? raw.device.trim() : undefined,
  }
}

/** Everything that was tapped, in order of time; the indicator in hand goes with every test. */
export function observedActs(fields: ObservationFields): ObservedAct[] {
  const tapped = Object.entries(fields)
    .flatMap(([name, text]) => {
      const act = name.startsWith('act.') ? readAct(text) : undefined
      return act ? [{ key: name.slice('act.'.length), act }] : []
    })
    .sort((a, b) => inOrder(a.act.at, b.act.at) || inOrder(a.key, b.key))
  const start = Date.parse(tapped[0]?.act.at ?? '')
  let inHand: Act['indicator']
  return tapped.map(({ key, act: { at, ...act } }) => {
    const isUndone = (fields[`undo.${key}`] ?? '') !== ''
    if (act.kind === 'take' && !isUndone) inHand = act.indicator
    return {
      key,
      atIso: at,
      act: { ...act, indicator: act.indicator ?? inHand, atS: Math.max(0, (Date.parse(at) - start) / 1000) },
      remark: fields[`remark.${key}`] ?? '',
      isUndone,
    }
  })
}

export const standingActs = (fields: ObservationFields): Act[] =>
  observedActs(fields)
    .filter(({ isUndone }) => !isUndone)
    .map(({ act }) => act)
