import { CABLES } from '#core/regulations/cables/sizes'
import type { CircuitDesign, Governs } from '#core/design/reference'
import type { StepKey } from '#core/design/model/step-keys'
import { sizeFor, sizesFor, voltDropLimitV } from '#core/design/limits/limits'
import type { CableKind } from '#core/regulations/cables/cable'
import { nominalV } from '#core/regulations/supply'
import { CABLE_NAME, METHOD_NAME } from '../../names'
import { STEP_TEXT } from '../../steps'
import {
  chooseAs,
  nameOf,
  numberAs,
  ofCircuit,
  round,
  spokenAs,
  valueOf,
  verdictAs,
  type JobGenerator,
  type Made,
} from './generator'

const APPENDIX_4 = 'BS 7671 Appendix 4, from memory'
const worked = (circuit: CircuitDesign, key: StepKey) => circuit.steps.find((step) => step.key === key)

/** The figure of one step of this circuit, with what it was worked from as a prompt. */
const figure = (
  [code, step, level]: readonly [code: string, step: StepKey, level: 1 | 2 | 3],
  ask: (name: string) => string,
  [unit, places, within, scale = 1]: readonly [unit: string, places: number, within: number, scale?: number],
): JobGenerator =>
  ofCircuit({ code, topic: 'cable', level, moments: ['design', 'terminations'] }, (circuit) => {
    const [value, entry] = [valueOf(circuit, step), worked(circuit, step)]
    if (value === undefined || !entry) return null
    return {
      text: ask(nameOf(circuit)),
      expected: numberAs(
        round(value * scale, places),
        unit,
        Math.max(within, Math.abs(value * scale) * 0.02),
      ),
      prompts: [STEP_TEXT[step].ask, entry.formula].filter(Boolean),
      follow: 'How did you come to it?',
      source: APPENDIX_4,
    }
  })

/** A correction factor that is not one. */
const factor = (code: string, step: 'ca' | 'cg' | 'ci', ask: (name: string) => string): JobGenerator =>
  ofCircuit({ code, topic: 'cable', level: 2, moments: ['design'] }, (circuit) => {
    const value = valueOf(circuit, step)
    if (value === undefined || value === 1) return null
    return {
      text: ask(nameOf(circuit)),
      expected: numberAs(value, 'times', 0.005),
      prompts: [STEP_TEXT[step].help],
      source: APPENDIX_4,
    }
  })

const CONSTRUCTION: Readonly<Record<CableKind, string>> = {
  'flat-twin-earth':
    'Flat: insulated line and neutral, bare cpc between, one sheath; its cpc is smaller. Clipped or buried, quick to lay.',
  'singles-in-conduit':
    'Single stranded conductors with basic insulation alone; the conduit protects them, and they can be drawn and replaced.',
  'singles-in-trunking':
    'Single stranded conductors with basic insulation alone; the trunking protects them, and more can be laid in later.',
  multicore: 'Several insulated cores in a round sheath, clipped or on tray.',
  'armoured-70': 'Insulated cores, steel wire armour, sheath: stands knocks and burial.',
  'armoured-90': 'Thermosetting cores, steel wire armour, sheath: stands knocks and burial.',
  mineral:
    'Copper conductors in pressed powder in a copper sheath: stands fire and heat; its powder draws moisture.',
  'fire-resistant': 'Cores that go on working in a fire for a stated time, screened and sheathed.',
}
const GOVERNS: Readonly<Record<Governs, string>> = {
  area: 'The least size that is made or allowed for it.',
  capacity: 'Its current: the next smaller size carries too little with the correction factors.',
  voltDrop: 'Voltage drop: the next smaller size loses too much over this length.',
  loop: 'The fault loop: with the next smaller size Zs is above its limit.',
  adiabatic: 'The heat of the cpc during a fault: the next smaller one would get too hot.',
}

const smallerWould = (circuit: CircuitDesign): Made | null => {
  const area = valueOf(circuit, 'csa')
  const [rating, needed] = [valueOf(circuit, 'in'), valueOf(circuit, 'itMin')]
  const smaller = sizesFor(circuit.task)
    .filter(({ lineMm2 }) => lineMm2 < area!)
    .at(-1)
  if (!smaller || rating === undefined || needed === undefined || circuit.circuit.topology === 'ring')
    return null
  const carries = smaller.ratingA >= needed
  return {
    text: `Would ${smaller.lineMm2} mm² carry the current of ${nameOf(circuit)} here, by the table?`,
    expected: verdictAs(
      carries,
      `The table gives ${smaller.ratingA} A; at least ${round(needed, 1)} A is asked.`,
    ),
    prompts: ['What must the table offer at least?', `${smaller.lineMm2} mm²: ${smaller.ratingA} A.`],
    follow: carries ? 'What then decided the larger size?' : '',
    source: APPENDIX_4,
  }
}

export const CABLE_QUESTIONS: readonly JobGenerator[] = [
  figure(['csa', 'csa', 1], (name) => `What size are the line conductors of ${name}?`, ['mm²', 1, 0]),
  figure(['ib', 'ib', 1], (name) => `What is the design current of ${name}?`, ['A', 1, 0.1]),
  figure(['itMin', 'itMin', 2], (name) => `What must the table offer at least for ${name}?`, ['A', 1, 0.1]),
  figure(['it', 'it', 2], (name) => `What does the table give for the cable of ${name}?`, ['A', 1, 0.5]),
  figure(['iz', 'iz', 2], (name) => `What may the cable of ${name} carry as it is installed?`, ['A', 1, 0.2]),
  figure(['drop', 'voltDrop', 2], (name) => `What voltage drop has ${name} at its furthest point?`, [
    'V',
    2,
    0.05,
  ]),
  figure(['r1r2', 'r1r2', 2], (name) => `What is R1 + R2 of ${name} at 20 °C by calculation?`, [
    'Ω',
    2,
    0.02,
  ]),
  figure(['r1r2-hot', 'r1r2Hot', 3], (name) => `What is R1 + R2 of ${name} when it is warm from work?`, [
    'Ω',
    2,
    0.02,
  ]),
  figure(
    ['cpc-min', 'cpcMin', 3],
    (name) => `How large must the cpc of ${name} be at least, by its heat in a fault?`,
    ['mm²', 2, 0.05],
  ),
  factor('ca', 'ca', (name) => `Which correction factor for the ambient temperature has ${name}?`),
  factor('cg', 'cg', (name) => `Which correction factor for grouping has ${name}?`),
  factor('ci', 'ci', (name) => `Which correction factor for thermal insulation has ${name}?`),
  ofCircuit({ code: 'cpc', topic: 'cable', level: 1, moments: ['terminations'] }, (circuit) => {
    const size = sizeFor(circuit.task, valueOf(circuit, 'csa') ?? 0)
    if (!size || CABLES[circuit.circuit.cable.kind].cpc.made !== 'copper') return null
    return {
      text: `What size is the cpc of ${nameOf(circuit)}?`,
      expected: numberAs(size.cpcMm2, 'mm²'),
      prompts: ['Is it as large as the line?'],
      source: APPENDIX_4,
    }
  }),
  ofCircuit({ code: 'cpc-why', topic: 'cable', level: 3, moments: ['terminations', 'design'] }, (circuit) => {
    const size = sizeFor(circuit.task, valueOf(circuit, 'csa') ?? 0)
    if (!size || size.cpcMm2 >= size.lineMm2) return null
    return {
      text: `The cpc of ${nameOf(circuit)} is ${size.cpcMm2} mm², the line ${size.lineMm2} mm². Why may it be smaller?`,
      expected: spokenAs(
        'It carries fault current alone and for a short time; the adiabatic equation shows that it stays cool enough.',
      ),
      prompts: ['When does it carry current, and how long?'],
      source: 'BS 7671 543.1.3, from memory',
    }
  }),
  ofCircuit(
    { code: 'construction', topic: 'cable', level: 1, moments: ['terminations', 'design'] },
    ({ circuit }) => ({
      text: `Describe the cable of ${circuit.name}, and why it suits here.`,
      plain: `${circuit.name}: which cable? Why this one?`,
      expected: spokenAs(CONSTRUCTION[circuit.cable.kind]),
      prompts: [`It is ${CABLE_NAME[circuit.cable.kind].toLowerCase()}.`],
    }),
  ),
  ofCircuit(
    { code: 'insulation', topic: 'cable', level: 1, moments: ['terminations', 'design'] },
    ({ circuit }) => ({
      text: `How hot may the conductor of ${circuit.name} be in service?`,
      expected: numberAs(CABLES[circuit.cable.kind].conductorC, '°C'),
      prompts: ['Thermoplastic or thermosetting?'],
      source: APPENDIX_4,
    }),
  ),
  ofCircuit({ code: 'method', topic: 'cable', level: 1, moments: ['design'] }, ({ circuit }) => {
    const { kind, method } = circuit.cable
    const expected = chooseAs(
      METHOD_NAME[method],
      CABLES[kind].methods.map((other) => METHOD_NAME[other]),
    )
    return (
      expected && {
        text: `How is the cable of ${circuit.name} installed, as the table counts it?`,
        expected,
        source: APPENDIX_4,
      }
    )
  }),
  ofCircuit({ code: 'governs', topic: 'cable', level: 3, moments: ['design'] }, (circuit) => ({
    text: `What decided the cable size of ${nameOf(circuit)}?`,
    expected: spokenAs(GOVERNS[circuit.governs]),
    prompts: ['Current, voltage drop, fault loop, or heat of the cpc?', 'What would fail one size smaller?'],
    source: APPENDIX_4,
  })),
  ofCircuit({ code: 'smaller', topic: 'cable', level: 2, moments: ['design'] }, smallerWould),
  ofCircuit({ code: 'drop-limit', topic: 'cable', level: 2, moments: ['design'] }, (circuit) => {
    const limit = voltDropLimitV(circuit.task)
    return {
      text: `How many volts may ${nameOf(circuit)} lose at most, from the origin?`,
      expected: numberAs(round(limit), 'V', 0.1),
      prompts: ['3 % for lighting, 5 % for other uses.', `Of ${nominalV(circuit.circuit.phases)} V.`],
      source: 'BS 7671 Appendix 4, Table 4Ab, from memory',
    }
  }),
  ofCircuit({ code: 'length', topic: 'cable', level: 1, moments: ['design', 'dead'] }, ({ circuit }) => ({
    text:
      circuit.topology === 'ring'
        ? `How long is ${circuit.name} once all the way round?`
        : `How long is the route of ${circuit.name} to its furthest point?`,
    expected: numberAs(circuit.lengthM, 'm', Math.max(0.5, circuit.lengthM * 0.05)),
    prompts: ['It stands on your task sheet.'],
  })),
  ofCircuit({ code: 'twice-long', topic: 'principles', level: 3, moments: ['design'] }, (circuit) => {
    const [drop, isDone] = [valueOf(circuit, 'voltDrop'), circuit.circuit.topology === 'radial']
    if (drop === undefined || !isDone) return null
    const limit = voltDropLimitV(circuit.task)
    return {
      text: `The route of ${nameOf(circuit)} gets twice as long, with the same cable and load. Is its own voltage drop still within ${round(limit, 1)} V?`,
      expected: verdictAs(2 * drop <= limit, `It becomes ${round(2 * drop)} V of ${round(limit, 1)} V.`),
      prompts: ['What happens to the voltage drop?'],
    }
  }),
]
