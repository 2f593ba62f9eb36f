import type { InstallationDesign } from '#core/design/reference'
import { STEP_KINDS, stepWords } from '#core/design/model/step-kinds'
import type { StepMark } from '#core/assessment/marking/mark-step'
import { sourceLine } from '#core/regulations/source'
import type { Edition } from '#core/regulations/editions'
import { constraintSentence } from '#words/constraints'
import { findingSentence } from '#words/findings/findings'
import { STEP_TEXT } from '#words/steps'

const NAME_WIDTH = 26
const VALUE_WIDTH = 14

/** The derivation of every circuit and board, a line a step. */
export function explainDesign(design: InstallationDesign, edition: Edition): string {
  const parts = [
    ...design.circuits.map((part) => ({ part, name: part.circuit.name })),
    ...design.boards.map((part) => ({ part, name: part.board.name })),
  ]
  return parts
    .map(({ part, name }) =>
      [
        `${part.scope}  ${name}`,
        ...part.steps.map((step) => {
          const check = step.check
            ? `  ${step.check.isKept ? 'within' : 'BEYOND'} ${step.check.relation} ${stepWords(step.key, step.check.limit)}`
            : ''
          const named = `${STEP_TEXT[step.key].name.padEnd(NAME_WIDTH)}${STEP_KINDS[step.key].symbol}`
          const value = stepWords(step.key, step.value).padEnd(VALUE_WIDTH)
          const working = step.working.replaceAll('\n', '; ')
          return `  ${named} = ${value}${step.formula}: ${working}${check}  [${sourceLine(step.source, edition)}]`
        }),
        ...(part.stopped
          ? [
              `  NO SOLUTION at ${STEP_TEXT[part.stopped.at].name.toLowerCase()}: ${constraintSentence(part.stopped.constraint)}`,
            ]
          : []),
      ].join('\n'),
    )
    .join('\n\n')
}

/** Verdict and reason for every step, a line a step. */
export function explainMarks(marks: readonly StepMark[]): string {
  const lines = marks.map((mark) => {
    const reasons = mark.findings
      .map(
        (finding) => `${finding.seriousness === 'critical' ? 'CRITICAL: ' : ''}${findingSentence(finding)}`,
      )
      .join(' ')
    return `${mark.node.padEnd(20)}${mark.verdict.padEnd(9)}${`${mark.mark} of ${mark.outOf}`.padEnd(10)}wrote ${mark.typed || '–'}, worked ${stepWords(mark.step, mark.reference)}${mark.own === undefined ? '' : `, from their own figures ${stepWords(mark.step, mark.own)}`}${reasons ? `  ${reasons}` : ''}`
  })
  return [
    ...lines,
    `${marks.reduce((sum, { mark }) => sum + mark, 0)} of ${marks.reduce((sum, { outOf }) => sum + outOf, 0)}`,
  ].join('\n')
}
