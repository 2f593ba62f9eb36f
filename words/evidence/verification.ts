import type { SampleReason } from '#core/assessment/verification/sample'
import { TOO_FEW_PAIRS, type Agreement, type Kappa } from '#core/statistics/agreement'

export const SAMPLE_REASON_TEXT: Readonly<Record<SampleReason, string>> = {
  critical: 'critical breach',
  borderline: 'one criterion decides',
  overridden: 'proposal overridden',
  newAssessor: 'new assessor',
  newExercise: 'new exercise',
  random: 'by chance',
}

const kappaSays = ({ kappa, low, high }: Kappa): string =>
  `${kappa.toFixed(2)} (95 % interval ${low.toFixed(2)} to ${high.toFixed(2)})`

/** κ with its interval, or why there is none. */
export function agreementSays({ pairs, plain }: Agreement, kappa: Kappa | null = plain): string {
  if (pairs < TOO_FEW_PAIRS) return `too few to say: ${pairs} of ${TOO_FEW_PAIRS} that are needed`
  return kappa === null ? 'no κ: both always said the same' : `κ ${kappaSays(kappa)}`
}

/** Who is kinder, and by how much. */
export function biasSays({ pairs, bias }: Agreement): string {
  if (pairs < TOO_FEW_PAIRS || Math.abs(bias) < 0.005) return ''
  return `the second is ${bias > 0 ? 'kinder' : 'stricter'} by ${Math.abs(100 * bias).toFixed(0)} in a hundred`
}
