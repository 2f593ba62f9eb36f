import type { Condition } from '#core/testing/kinds/kind'
import { isTick, kindOf } from '#core/testing/kinds/kinds'
import type { JobTest } from '#core/questions/material'
import { setupWords } from '../../test-setup'
import { readingText } from '../../testing'
import { chooseAs, numberAs, ofNextTest, round, spokenAs, type JobGenerator } from './generator'
import { DEAD_AND_LIVE, isInsulation, shortOf, unitOf } from './job-test'

const has = (test: JobTest, condition: Condition) =>
  (kindOf(test.key).conditions as readonly Condition[]).includes(condition)

/** About the tests that are about to be made. */
export const NEXT_TEST_QUESTIONS: readonly JobGenerator[] = [
  ofNextTest({ code: 'next-expected', topic: 'dead', level: 2, moments: DEAD_AND_LIVE }, (test) => {
    const value = test.expected?.value
    const unit = unitOf(test)
    if (value === undefined || !unit.unit || isInsulation(test)) return null
    const shown = round(value * unit.scale, 2)
    return {
      text: `You are about to measure ${shortOf(test)}. What do you expect?`,
      expected: numberAs(shown, unit.unit, Math.max(0.05, shown * 0.25)),
      prompts: ['Which length, which conductors?', 'Your design has it.'],
      follow: 'Why about that much?',
    }
  }),
  ofNextTest({ code: 'next-limit', topic: 'dead', level: 1, moments: DEAD_AND_LIVE }, (test) => {
    const limit = test.expected?.limit
    const unit = unitOf(test)
    if (!limit || !unit.unit) return null
    const shown = round(limit.value * unit.scale, 2)
    return {
      text: `What is the ${limit.kind === 'maximum' ? 'largest' : 'least'} value allowed for ${shortOf(test)}?`,
      expected: numberAs(shown, unit.unit, shown * 0.01),
      prompts: ['Where is it printed?'],
      follow: 'And what would you expect of new work?',
    }
  }),
  ofNextTest({ code: 'next-unit', topic: 'dead', level: 1, moments: DEAD_AND_LIVE }, (test) => {
    const { unit } = unitOf(test)
    const expected = unit ? chooseAs(unit, ['Ω', 'MΩ', 'ms', 'kA', 'V']) : null
    return expected && { text: `In which unit is ${shortOf(test)} written down?`, expected }
  }),
  ofNextTest({ code: 'next-instrument', topic: 'dead', level: 1, moments: DEAD_AND_LIVE }, (test) => ({
    text: `On which range of the instrument do you measure ${shortOf(test)}?`,
    expected: spokenAs(readingText(test.key).instrument),
  })),
  ofNextTest({ code: 'next-how', topic: 'dead', level: 2, moments: DEAD_AND_LIVE }, (test, { rig }) => {
    if (!rig || isTick(test.key)) return null
    return {
      text: `Where do your leads go for ${shortOf(test)}?`,
      expected: spokenAs(setupWords(rig, test).probes),
      prompts: [readingText(test.key).how],
    }
  }),
  ofNextTest({ code: 'next-ready', topic: 'dead', level: 2, moments: DEAD_AND_LIVE }, (test, { rig }) => {
    const ready = rig ? setupWords(rig, test).ready : []
    if (ready.length < 2) return null
    return {
      text: `What must be off, out, on or connected before ${shortOf(test)}?`,
      expected: spokenAs(`${ready.join('. ')}.`),
      prompts: ['What would be harmed?', 'What must stay connected?'],
    }
  }),
  ofNextTest({ code: 'next-volts', topic: 'dead', level: 1, moments: ['dead'] }, (test, { readings }) => {
    if (!isInsulation(test)) return null
    const chosen = /250/.test(readings['set:irVolt'] ?? '') ? 250 : 500
    return {
      text: `At what voltage do you test ${shortOf(test)} here?`,
      expected: numberAs(chosen, 'V', 0),
      follow: 'a.c. or d.c., and why?',
      source: 'BS 7671 Table 64, from memory',
    }
  }),
  ofNextTest({ code: 'next-earth', topic: 'bonding', level: 2, moments: ['dead'] }, (test) =>
    has(test, 'earthConnected')
      ? {
          text: `Which conductor must stay connected for ${shortOf(test)}, and why?`,
          expected: spokenAs(
            'The main earthing conductor: so that a fault to pipes and steel of the building shows too.',
          ),
          prompts: ['What joins the building’s metal to the board?'],
          source: 'BS 7671 643.3.1, from memory',
        }
      : null,
  ),
  ofNextTest({ code: 'next-loads', topic: 'dead', level: 2, moments: ['dead'] }, (test) =>
    has(test, 'loadsOut')
      ? {
          text: `Why are lamps and electronics out for ${shortOf(test)}?`,
          expected: spokenAs(
            'A lamp joins line and neutral and reads low; electronics would be damaged by the test voltage.',
          ),
          prompts: ['What does a lamp look like to the tester?'],
        }
      : null,
  ),
  ofNextTest({ code: 'next-switches', topic: 'dead', level: 2, moments: ['dead'] }, (test) =>
    has(test, 'switchesClosed')
      ? {
          text: `Why are switches closed for ${shortOf(test)}?`,
          expected: spokenAs('So that the switched line behind them is tested too.'),
        }
      : null,
  ),
  ofNextTest({ code: 'next-nulled', topic: 'dead', level: 1, moments: ['dead'] }, (test) =>
    has(test, 'leadsNulled')
      ? {
          text: 'What have you done with the leads before this test, and why?',
          expected: spokenAs('Held together and nulled: otherwise their resistance is in each reading.'),
          prompts: ['What do the leads themselves read?'],
        }
      : null,
  ),
  ofNextTest({ code: 'next-with-it', topic: 'dead', level: 1, moments: ['dead'] }, ({ kind }) =>
    kind === 'r1r2' || kind === 'ringLE'
      ? {
          text: 'What else does this test prove while you make it?',
          expected: spokenAs('Polarity: line and cpc are found at the right terminals.'),
          prompts: ['Which terminal do you hold the lead to?'],
        }
      : null,
  ),
  ofNextTest(
    { code: 'next-permission', topic: 'live', level: 1, moments: ['live', 'energise'] },
    ({ isDead, key }) =>
      isDead
        ? null
        : {
            text: `What must be there before you measure ${readingText(key).short}?`,
            expected: spokenAs(
              'The permission to energise, by name; covers on; people informed; fused leads.',
            ),
            prompts: ['Who said yes?'],
          },
  ),
  ofNextTest({ code: 'next-polarity-box', topic: 'dead', level: 1, moments: ['dead'] }, ({ kind }) =>
    kind === 'polarity'
      ? {
          text: 'What goes into this box: a number or a tick?',
          expected: spokenAs('A tick: it is right or it is not.'),
        }
      : null,
  ),
]
