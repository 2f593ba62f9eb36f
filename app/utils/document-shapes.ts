import type { MarkingView } from '#schemas/marking-views'
import type { TestRecordsView } from '#schemas/test-record-views'
import type { WorkView } from '#schemas/views'

/** Everything typed in a document, box by box. */
export type Fields = Record<string, string>

/** What of a view is typed, with its version. */
export interface Typed {
  readonly fields: Readonly<Fields>
  readonly version: number
  readonly savedAt: string | null
}

/** How a kind of document travels: what of a view is typed, and what is sent. */
export interface DocumentShape {
  readonly typedOf: (view: unknown) => Typed
  readonly bodyOf: (fields: Readonly<Fields>, version: number) => unknown
  /** Boxes that a refusal names as locked at this stage; the others can be saved without them. */
  readonly lockedOf?: (extra: Readonly<Record<string, unknown>>) => readonly string[]
  /** What is sent carries more than was typed: it is read anew just before. */
  readonly isReadFirst?: true
}

export const withoutEmpty = (fields: Readonly<Fields>): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([, text]) => text !== ''))

// Answers and readings travel as one flat record while they are typed: `design.ib`, `reading.zs`.
export const flattenWork = ({ answers, readings }: Pick<WorkView, 'answers' | 'readings'>): Fields => ({
  ...Object.fromEntries(Object.entries(answers).map(([key, text]) => [`design.${key}`, text ?? ''])),
  ...Object.fromEntries(Object.entries(readings).map(([key, text]) => [`reading.${key}`, text ?? ''])),
})

export function unflattenWork(fields: Readonly<Fields>) {
  const part = (prefix: string): Fields =>
    Object.fromEntries(
      Object.entries(fields)
        .filter(([name]) => name.startsWith(prefix))
        .map(([name, text]) => [name.slice(prefix.length), text]),
    )
  return { answers: part('design.'), readings: part('reading.') }
}

const paper = (kind: 'minor' | 'installation'): DocumentShape => ({
  typedOf: (view) => (view as TestRecordsView).papers[kind],
  bodyOf: (fields, version) => ({ kind, version, fields }),
})

/** The view has what is typed as it is. */
const asItIs: Pick<DocumentShape, 'typedOf'> = { typedOf: (view) => view as Typed }

export const DOCUMENT_SHAPES = {
  sheet: { ...asItIs, bodyOf: (fields, version) => ({ version, fields }) },
  withoutEmpty: { ...asItIs, bodyOf: (fields, version) => ({ version, fields: withoutEmpty(fields) }) },
  work: {
    typedOf: (view) => {
      const { version, savedAt, ...seen } = view as WorkView
      return { fields: flattenWork(seen), version, savedAt }
    },
    bodyOf: (fields, version) => ({ version, ...unflattenWork(fields) }),
    lockedOf: ({ locked }) => {
      const { answers, readings } = locked as { answers: string[]; readings: string[] }
      return [...answers.map((key) => `design.${key}`), ...readings.map((key) => `reading.${key}`)]
    },
  },
  minor: paper('minor'),
  installation: paper('installation'),
  feedback: {
    typedOf: (view) => {
      const { draft } = view as MarkingView
      return {
        // Changed marks travel with it as they stand.
        fields: { feedback: draft.feedback ?? '', overrides: JSON.stringify(draft.overrides) },
        version: draft.version,
        savedAt: null,
      }
    },
    bodyOf: ({ feedback, overrides = '[]' }, version) => ({
      version,
      overrides: JSON.parse(overrides),
      feedback,
    }),
    isReadFirst: true,
  },
} as const satisfies Readonly<Record<string, DocumentShape>>
export type ShapeName = keyof typeof DOCUMENT_SHAPES
