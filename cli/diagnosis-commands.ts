import { kindOf } from '#core/testing/kinds/kinds'
import { readTestsOf } from '#core/testing/plan/schedule'
import type { BayTest } from '#core/testing/kinds/kind'
import { bandOf, cost } from '#core/testing/expected/fit'
import { diagnose } from '#core/testing/diagnosis/diagnose'
import { sameAs } from '#core/testing/diagnosis/paper-slips'
import { predictAll } from '#core/testing/expected/predict'
import { readSheet, type SheetProblem } from '#core/testing/parse/read-sheet'
import { causeWords } from '#words/causes'
import { outcomeWords, testWords } from '#words/testing'
import { ReadingsSchema } from '#schemas/readings'
import { EXIT, UseError, checked, readJson, readRig, type Output } from './input'

const PROBLEM_WORDS: Readonly<Record<SheetProblem['problem'], string>> = {
  unknownTest: 'is no test of this bay',
  notANumber: 'is not a number',
  otherUnit: 'has a unit that does not belong here',
  negative: 'is negative',
  wrongForm: 'has the wrong form: a tick for polarity, a number elsewhere',
}

function sheetOf(file: string | undefined, tests: readonly BayTest[]) {
  const { readings } = checked(file, 'a sheet of readings', ReadingsSchema, readJson(file))
  return readSheet(tests, readings)
}

/** Every test of the bay with what is expected and what was read. */
export function check(_: object, rigFile?: string, readingsFile?: string): Output {
  if (!readingsFile) throw new UseError('check needs a rig and a sheet of readings.', EXIT.use)
  const rig = readRig(rigFile)
  const tests = readTestsOf(rig)
  const { outcomes, problems } = sheetOf(readingsFile, tests)
  const expected = predictAll(rig, tests)
  const rows = tests.flatMap((test) => {
    const outcome = expected.get(test.key)
    const seen = outcomes.get(test.key)
    if (!outcome || (!seen && kindOf(test.kind).isReadWhereTaken)) return []
    const isOdd = seen !== undefined && cost(test.kind, seen, outcome) > 0
    const read = isOdd ? 'odd' : 'fits'
    const verdict = seen ? read : 'missing'
    return [
      {
        test: test.key,
        verdict,
        read: seen ? outcomeWords(test.kind, seen) : null,
        expected: outcomeWords(test.kind, outcome),
        band: bandOf(test.kind, outcome) ?? null,
      },
    ]
  })
  const lines = [
    ...rows.map(
      ({ test, verdict, read, expected: due }) =>
        `${verdict.padEnd(8)} ${testWords(
          rig,
          tests.find(({ key }) => key === test)!,
        ).padEnd(46)} ${(read ?? '–').padStart(12)}   expected ${due}`,
    ),
    ...problems.map(({ key, problem }) => `${key} ${PROBLEM_WORDS[problem]}`),
  ]
  const exitOfRows = rows.some(({ verdict }) => verdict !== 'fits') ? EXIT.engineering : EXIT.done
  return {
    json: { rows, problems },
    explained: lines.join('\n'),
    code: problems.length > 0 ? EXIT.input : exitOfRows,
  }
}

/** Causes ranked by how well they explain the sheet, and the measurement to make next. */
export function diagnoseSheet(
  { other }: { readonly other?: string },
  rigFile?: string,
  readingsFile?: string,
): Output {
  if (!readingsFile) throw new UseError('diagnose needs a rig and a sheet of readings.', EXIT.use)
  const rig = readRig(rigFile)
  const tests = readTestsOf(rig)
  const { outcomes, problems } = sheetOf(readingsFile, tests)
  const fromOtherBay = other ? sameAs(outcomes, sheetOf(other, tests).outcomes, 'the other sheet') : undefined
  const { candidates, odd, next } = diagnose(rig, outcomes, { pairs: true, fromOtherBay })
  const shown = candidates.map((shown) => ({
    ...causeWords(rig, shown),
    share: shown.share,
    doesNotFit: Object.entries(shown.fits)
      .filter(([, fits]) => !fits)
      .map(([key]) => key),
  }))
  const proposal = next ? testWords(rig, next.test) : null
  const lines =
    odd.length === 0
      ? ['Every reading fits the bay as it was meant.']
      : [
          `Odd: ${odd.join(', ')}`,
          ...shown.map(
            ({ cause, where, tell, share, doesNotFit }) =>
              `${`${Math.round(share * 100)} %`.padStart(5)}  ${cause}${where ? `, ${where}` : ''}. ${tell}${doesNotFit.length ? ` Leaves open: ${doesNotFit.join(', ')}.` : ''}`,
          ),
          ...(proposal ? [`Measure next: ${proposal}`] : []),
          'Shares are among the causes that the catalogue knows; none of them is certain.',
        ]
  return {
    json: { odd, candidates: shown, next: next ? { test: next.test.key, words: proposal } : null, problems },
    explained: lines.join('\n'),
    code: odd.length === 0 ? EXIT.done : EXIT.engineering,
  }
}
