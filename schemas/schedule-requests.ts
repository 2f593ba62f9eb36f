import { Type, type Static } from '@sinclair/typebox'
import { INSTRUMENT_KINDS } from './schedule-views'

const strict = { additionalProperties: false }
const Day = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' })
const Text = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: '\\S' })

const CALIBRATION = { doneOn: Day, dueOn: Day, certificate: Text(60) }

export const CalibrationRequest = Type.Object(CALIBRATION, strict)

export const InstrumentRequest = Type.Object(
  {
    name: Text(40),
    serial: Text(40),
    kind: Type.Unsafe<(typeof INSTRUMENT_KINDS)[number]>({ enum: [...INSTRUMENT_KINDS] }),
    ...CALIBRATION,
  },
  strict,
)

export type InstrumentBody = Static<typeof InstrumentRequest>
export type CalibrationBody = Static<typeof CalibrationRequest>
