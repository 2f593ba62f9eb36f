import type { JobTest } from '#core/questions/material'
import { U0_V } from '#core/regulations/supply'
import { readingText } from '../../testing'
import { numberAs, ofJob, round, spokenAs, verdictAs, type JobGenerator } from './generator'
import { DEAD_AND_LIVE, GN3, isInsulation, shortOf, typedValue } from './job-test'

const valueAt = (tests: readonly JobTest[], kind: string, circuit: string | null): number | undefined => {
  const test = tests.find(
    (candidate) => candidate.kind === kind && candidate.circuit === circuit && candidate.typed.trim(),
  )
  return test && typedValue(test)
}
const circuitsWith = (tests: readonly JobTest[], kind: string): string[] => [
  ...new Set(
    tests
      .filter((test) => test.kind === kind && test.circuit && typedValue(test) !== undefined)
      .map(({ circuit }) => circuit!),
  ),
]

/** About a test that was made: a figure that follows from readings on the person's own sheet. */
const fromOwn = (
  [code, level, kind]: readonly [code: string, level: 1 | 2 | 3, kind: string],
  make: (
    value: number,
    tests: readonly JobTest[],
    circuit: string,
  ) => ReturnType<Parameters<typeof ofJob>[1]>,
): JobGenerator =>
  ofJob({ code, topic: 'dead', level, moments: DEAD_AND_LIVE }, ({ tests }) => {
    for (const circuit of circuitsWith(tests, kind)) {
      const made = make(valueAt(tests, kind, circuit)!, tests, circuit)
      if (made) return made
    }
    return null
  })
/** About what stands on the person's own sheet. */
export const OWN_READING_QUESTIONS: readonly JobGenerator[] = [
  ofJob({ code: 'over-range', topic: 'dead', level: 1, moments: ['dead'] }, ({ tests }) => {
    const over = tests.find(({ typed }) => typed.includes('>'))
    return over
      ? {
          text: `You wrote ${over.typed} for ${shortOf(over)}. What does it say?`,
          expected: spokenAs(
            'More than the instrument can show at this range: no current could be seen. It is no number.',
          ),
          prompts: ['Is it exactly that value?'],
        }
      : null
  }),
  ofJob({ code: 'leads', topic: 'dead', level: 1, moments: ['dead'] }, ({ readings }) => {
    const leads = readings['set:leads']?.trim()
    return leads
      ? {
          text: `You nulled at ${leads}. How would the readings look if you had not?`,
          expected: spokenAs(`About ${leads} higher in every continuity reading, short and long alike.`),
          prompts: ['In one reading, or in all?'],
        }
      : null
  }),
  ofJob({ code: 'lowest-ir', topic: 'dead', level: 2, moments: ['dead', 'energise'] }, ({ tests }) => {
    const figures = tests.filter(isInsulation).flatMap((test) => {
      const value = typedValue(test)
      return value === undefined ? [] : [{ test, value }]
    })
    if (figures.length < 2) return null
    const low = figures.reduce((a, b) => (b.value < a.value ? b : a))
    return {
      text: 'Which is the lowest insulation resistance on your sheet, in MΩ?',
      expected: numberAs(round(low.value / 1e6), 'MΩ', 0.01),
      follow: 'What do you say to it?',
    }
  }),
  ofJob({ code: 'ir-together', topic: 'principles', level: 3, moments: ['dead'] }, ({ tests }) => {
    const values = tests.filter(({ kind }) => kind === 'irLE').flatMap((test) => typedValue(test) ?? [])
    if (values.length < 2) return null
    const both = 1 / values.slice(0, 2).reduce((sum, value) => sum + 1 / value, 0)
    return {
      text: `Two of your circuits read ${values
        .slice(0, 2)
        .map((value) => `${round(value / 1e6)} MΩ`)
        .join(' and ')} to earth. What would both together read?`,
      expected: numberAs(round(both / 1e6), 'MΩ', Math.max(0.05, (both / 1e6) * 0.03)),
      prompts: ['They are in parallel.'],
    }
  }),
  fromOwn(['own-quarter', 2, 'r1'], (r1, tests, circuit) => {
    const rn = valueAt(tests, 'rn', circuit)
    return rn === undefined
      ? null
      : {
          text: `Your r1 is ${round(r1)} Ω and rn ${round(rn)} Ω. What should each socket show in step 2?`,
          expected: numberAs(round((r1 + rn) / 4), 'Ω', 0.03),
          prompts: ['A quarter of both together.'],
          source: GN3,
        }
  }),
  fromOwn(['own-r1r2', 2, 'r1'], (r1, tests, circuit) => {
    const r2 = valueAt(tests, 'r2', circuit)
    return r2 === undefined
      ? null
      : {
          text: `Your r1 is ${round(r1)} Ω and r2 ${round(r2)} Ω. What is R1 + R2 of the ring?`,
          expected: numberAs(round((r1 + r2) / 4), 'Ω', 0.03),
          prompts: ['A quarter of both together.'],
          source: GN3,
        }
  }),
  fromOwn(['own-ratio', 3, 'r1'], (r1, tests, circuit) => {
    const r2 = valueAt(tests, 'r2', circuit)
    if (r2 === undefined || r1 <= 0 || r2 / r1 < 1.3) return null
    return {
      text: `Your r2 is ${round(r2 / r1, 1)} times r1. Why is that right?`,
      expected: spokenAs('The cpc of the cable is thinner: 2.5 mm² to 1.5 mm² gives about 1.67.'),
      prompts: ['Which is thinner?'],
      source: GN3,
    }
  }),
  fromOwn(['own-zs', 2, 'r1r2'], (r1r2, tests) => {
    const ze = valueAt(tests, 'ze', null)
    return ze === undefined
      ? null
      : {
          text: `Your Ze is ${round(ze)} Ω and R1 + R2 ${round(r1r2)} Ω. What Zs do you expect?`,
          expected: numberAs(round(ze + r1r2), 'Ω', 0.03),
          prompts: ['Add them.'],
          follow: 'Why may the tester show less?',
        }
  }),
  fromOwn(['own-fault', 2, 'zs'], (zs) =>
    zs > 0
      ? {
          text: `Your Zs is ${round(zs)} Ω. What earth fault current flows there?`,
          expected: numberAs(round(U0_V / zs, 0), 'A', Math.max(3, (U0_V / zs) * 0.02)),
          prompts: [`${U0_V} V divided by it.`],
        }
      : null,
  ),
  fromOwn(['own-within', 2, 'zs'], (zs, tests, circuit) => {
    const limit = tests.find((test) => test.kind === 'zs' && test.circuit === circuit)?.expected?.limit?.value
    return limit === undefined
      ? null
      : {
          text: `Your Zs is ${round(zs)} Ω. Is it within what is permitted at test temperature here, ${round(limit)} Ω?`,
          expected: verdictAs(zs <= limit, `${round(zs)} Ω against ${round(limit)} Ω.`),
        }
  }),
  fromOwn(['own-rcd-time', 2, 'rcd'], (seconds) => ({
    text: `The RCD opened after ${round(seconds * 1000, 0)} ms at its rated residual current. Is that within 300 ms?`,
    expected: verdictAs(seconds <= 0.3, `${round(seconds * 1000, 0)} ms.`),
    follow: 'And what is asked at five times?',
    source: 'BS EN 61008-1, from memory',
  })),
  ofJob({ code: 'test-order', topic: 'dead', level: 1, moments: ['dead'] }, ({ tests }) => {
    const names = [
      ...new Set(
        tests.filter(({ isDead, isAsked }) => isDead && isAsked).map((test) => readingText(test.key).name),
      ),
    ].slice(0, 6)
    return names.length < 3
      ? null
      : {
          text: 'Put the dead tests of your schedule in their order.',
          expected: { kind: 'order', items: names },
          source: GN3,
        }
  }),
]
