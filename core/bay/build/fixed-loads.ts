import type { Pole, TerminalRef } from '../model/rig'
import { pointOf, type CircuitDraft } from './lay'
import { devicePart } from './parts'
import { fixedLoad } from './point-loads'

/** Of a fixed load's run, the share up to its isolator. */
const TO_ISOLATOR = 0.9
const ISOLATOR_A = 45

/** By pole, and `E`, the terminals of one place. */
type Terminals = Readonly<Record<string, TerminalRef>>

/** A load behind its isolator; of several points each is an appliance on the run. */
export function buildFixed(circuitDraft: CircuitDraft): void {
  const { circuit, origin, draft } = circuitDraft
  const hasNeutral = circuit.phases === 1 || circuit.use !== 'motor'
  const lines = origin.lines.map(({ pole }) => pole)
  const poles: readonly Pole[] = [...lines, ...(hasNeutral ? ['N' as const] : [])]
  const isAlone = circuit.points === 1
  const start: Terminals = {
    ...Object.fromEntries(origin.lines.map(({ pole, from }) => [pole, from])),
    ...(hasNeutral ? { N: origin.neutral() } : {}),
    E: origin.earth(),
  }
  let before = isAlone ? buildIsolator(circuitDraft, poles, start) : start
  const legM = isAlone ? circuit.lengthM * (1 - TO_ISOLATOR) : circuit.lengthM / circuit.points
  for (let i = 1; i <= circuit.points; i += 1) {
    const id = draft.part({
      ...pointOf(circuit, i, isAlone ? circuit.name : `${circuit.name} ${i}`),
      kind: 'appliance',
      poles,
      load: fixedLoad(circuit),
    })
    const here = terminals(poles, (pole) => `${id}.${pole}`)
    layLeg(circuitDraft, { from: before, to: here }, legM)
    before = here
  }
}

const terminals = (poles: readonly Pole[], at: (pole: string) => TerminalRef): Terminals =>
  Object.fromEntries([...poles, 'E'].map((pole) => [pole, at(pole)]))

interface Leg {
  readonly from: Terminals
  readonly to: Terminals
}

function layLeg({ origin, lay }: CircuitDraft, { from, to }: Leg, lengthM: number): void {
  origin.lines.forEach(({ pole }, i) => lay([['line', from[pole]!, to[pole]!]], lengthM, i))
  if (from.N) lay([['neutral', from.N, to.N!]], lengthM)
  lay([['earth', from.E!, to.E!]], lengthM)
}

/** The switch beside a load that is alone on its circuit; returns what leaves it. */
function buildIsolator(circuitDraft: CircuitDraft, poles: readonly Pole[], start: Terminals): Terminals {
  const { draft, circuit, origin } = circuitDraft
  const name = `${circuit.use === 'cooker' ? 'Cooker switch' : 'Isolating switch'} ${origin.number}`
  const isolator = draft.part(
    devicePart({
      ...pointOf(circuit, 0, name),
      role: 'isolator',
      poles,
      hasEarth: true,
      ratingA: ISOLATOR_A,
      // Power comes from both its sides where a second source stands behind it.
      marking: circuit.infeed ? 'either' : 'line-load',
    }),
  )
  const side = (way: 'in' | 'out') =>
    terminals(poles, (pole) => `${isolator}.${pole === 'E' ? 'E' : `${pole} ${way}`}`)
  layLeg(circuitDraft, { from: start, to: side('in') }, circuit.lengthM * TO_ISOLATOR)
  return side('out')
}
