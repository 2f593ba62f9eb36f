import { wayOf } from '#core/testing/setup/circuit-ends'
import { rcdBefore } from '#core/bay/model/rcd-before'
import { partIdOf } from '#core/bay/model/terminals'
import type { DevicePart, Rig } from '#core/bay/model/rig'
import { chooseAs, nameOf, numberAs, ofCircuit, ofJob, spokenAs, type JobGenerator } from './generator'

/** The neutral bar of a circuit at its board. */
function neutralBarOf(rig: Rig, circuit: string): string | undefined {
  const bars = rig.parts.filter((part) => part.kind === 'bar')
  const points = new Set(rig.parts.filter((part) => part.circuit === circuit).map(({ id }) => id))
  const wire = rig.wires.find(
    ({ colour, from, to }) =>
      colour === 'blue' &&
      bars.some(({ id }) => [from, to].some((end) => partIdOf(end) === id)) &&
      [from, to].some((end) => points.has(partIdOf(end))),
  )
  return wire && bars.find(({ id }) => [wire.from, wire.to].some((end) => partIdOf(end) === id))?.name
}
const devicesOf = (rig: Rig): DevicePart[] =>
  rig.parts.filter((part): part is DevicePart => part.kind === 'device')

export const ISOLATION_QUESTIONS: readonly JobGenerator[] = [
  ofCircuit(
    { code: 'lock-which', topic: 'isolation', level: 1, moments: ['isolation'] },
    (circuit, { rig, circuits }) => {
      const way = rig && wayOf(rig, circuit.scope)
      if (!rig || !way) return null
      const others = circuits.flatMap(({ scope }) => wayOf(rig, scope)?.name ?? [])
      const expected = chooseAs(way.name, others)
      return (
        expected && {
          text: `Which device do you lock off to work on ${nameOf(circuit)}?`,
          expected,
          prompts: [`It is on way ${circuit.circuit.way}.`],
          follow: 'How do you know that it is the right one?',
        }
      )
    },
  ),
  ofCircuit({ code: 'pairs', topic: 'isolation', level: 2, moments: ['isolation'] }, (circuit) => ({
    text: `Between how many pairs of conductors do you prove ${nameOf(circuit)} dead?`,
    expected: numberAs(circuit.circuit.phases === 3 ? 10 : 3, 'pairs', 0),
    prompts: [
      circuit.circuit.phases === 3
        ? 'Three lines, neutral, earth: each with each.'
        : 'Line, neutral, earth: each with each.',
    ],
    source: 'HSE GS38, from memory',
  })),
  ofCircuit(
    { code: 'which-bar', topic: 'neutral', level: 2, moments: ['isolation', 'terminations'] },
    (circuit, { rig }) => {
      const bar = rig && neutralBarOf(rig, circuit.scope)
      const bars = rig ? rig.parts.filter((part) => part.kind === 'bar').map(({ name }) => name) : []
      const expected = bar ? chooseAs(bar, bars) : null
      return (
        expected && {
          text: `In which bar is the neutral of ${nameOf(circuit)}?`,
          expected,
          prompts: ['Which RCD is in front of it?'],
          follow: 'What would happen on the other bar?',
        }
      )
    },
  ),
  ofCircuit(
    { code: 'rcd-before', topic: 'rcd', level: 2, moments: ['isolation', 'energise'] },
    (circuit, { rig }) => {
      const rcd = rig && rcdBefore(rig, circuit.scope)
      const expected =
        rcd &&
        chooseAs(
          rcd.name,
          devicesOf(rig).map(({ name }) => name),
        )
      return expected ? { text: `Which device is the RCD in front of ${nameOf(circuit)}?`, expected } : null
    },
  ),
  ofCircuit(
    { code: 'neutral-stays', topic: 'neutral', level: 3, moments: ['isolation'] },
    (circuit, { rig }) => {
      const way = rig && wayOf(rig, circuit.scope)
      if (!way || way.poles.some((pole) => pole === 'N' && !way.solid.includes('N'))) return null
      return {
        text: `The breaker of ${nameOf(circuit)} is off. Which of its conductors is still connected to the supply?`,
        expected: spokenAs('The neutral (and the cpc): a single-pole breaker opens the line alone.'),
        prompts: ['How many poles has it?'],
        follow: 'When could that neutral be live?',
      }
    },
  ),
  ofJob({ code: 'ip-top', topic: 'ip', level: 1, moments: ['terminations', 'energise'] }, ({ boards }) => {
    const name = boards[0]?.board.name
    const expected = chooseAs('IPXXD or IP4X', ['IPXXB or IP2X', 'IP65', 'IP00'])
    return name && expected
      ? {
          text: `What protection must the top of ${name} have when it is finished?`,
          expected,
          source: 'BS 7671 416.2.2, from memory',
        }
      : null
  }),
  ofJob({ code: 'ip-sides', topic: 'ip', level: 1, moments: ['terminations', 'energise'] }, ({ boards }) => {
    const name = boards[0]?.board.name
    const expected = chooseAs('IPXXB or IP2X', ['IPXXD or IP4X', 'IP65', 'IP00'])
    return name && expected
      ? {
          text: `And the front and sides of ${name}?`,
          plain: `${name}, front and sides: which IP?`,
          expected,
          source: 'BS 7671 416.2.1, from memory',
        }
      : null
  }),
  ofJob({ code: 'torque', topic: 'terminations', level: 1, moments: ['terminations'] }, ({ boards }) => {
    const name = boards[0]?.board.name
    return name
      ? {
          text: `Where do you find the torque for the terminals of ${name}?`,
          expected: spokenAs('On the device or in its maker’s instructions; set on a torque screwdriver.'),
          prompts: ['Who knows it?'],
          source: 'BS 7671 134.1.1, from memory',
        }
      : null
  }),
  ofJob({ code: 'blanks', topic: 'ip', level: 1, moments: ['terminations', 'energise'] }, ({ rig }) => {
    const blanks = rig?.boards.reduce((sum, { blanks: closed }) => sum + closed.length, 0) ?? 0
    return blanks > 0
      ? {
          text: 'How many spare ways are closed with blanks in this bay?',
          expected: numberAs(blanks, 'blanks', 0),
          follow: 'Why must none be missing?',
        }
      : null
  }),
  ofJob({ code: 'second-source', topic: 'isolation', level: 2, moments: ['isolation'] }, ({ rig }) => {
    const supplies = rig?.parts.filter(({ kind }) => kind === 'supply') ?? []
    return rig
      ? {
          text: 'How many sources feed this bay, and how did you find out?',
          expected: spokenAs(
            supplies.length > 1
              ? `${supplies.length}: ${supplies.map(({ name }) => name).join(', ')}.`
              : 'One: asked, looked for, and the chart read.',
          ),
          prompts: ['Is there anything on the roof or in the cellar?'],
        }
      : null
  }),
]
