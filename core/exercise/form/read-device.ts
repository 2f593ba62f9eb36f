import type { Circuit } from '../../installation/installation'
import type { Infeed, Marking } from '../../regulations/infeed'
import { NO_CURVE, type CircuitField, type ExerciseForm } from './fields'
import type { FormProblem } from './problem'
import { readMaker } from './read-maker'

type Row = Readonly<Record<CircuitField, string | number | null>>

/** The device of a circuit with what is known of it, and the source that the circuit brings in. */
export function readDevice(
  id: string,
  row: Row,
  form: ExerciseForm,
  problems: Record<string, FormProblem>,
): Pick<Circuit, 'device' | 'marking' | 'infeed' | 'maker' | 'residualA'> {
  return {
    device: {
      family: row.family as Circuit['device']['family'],
      curve: row.curve === NO_CURVE ? null : (row.curve as 'B'),
    },
    ...(row.marking === 'either' ? {} : { marking: row.marking as Marking }),
    ...(row.infeed === 'none' ? {} : { infeed: row.infeed as Infeed }),
    ...readMakerPoints(id, form, problems),
    residualA: row.residual === 'none' ? null : Number(row.residual) / 1e3,
  }
}

/** Only there where the maker's data is given. */
function readMakerPoints(
  id: string,
  form: ExerciseForm,
  problems: Record<string, FormProblem>,
): Pick<Circuit, 'maker'> {
  const { points, problem } = readMaker(form[`${id}.maker`] ?? '')
  if (problem) problems[`${id}.maker`] = problem
  return points.length > 0 ? { maker: points } : {}
}
