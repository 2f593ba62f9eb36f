import type { PublicCircuit } from '#core/exercise/assignment'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import type { Choice } from '#core/design/model/step-kinds'
import { stepOf, type NodeKey, type StepKey } from '#core/design/model/step-keys'
import { CONDUITS_MM } from '#core/regulations/containment'
import { DEVICES } from '#core/regulations/devices'

const PARTS: readonly { readonly name: string; readonly steps: readonly StepKey[] }[] = [
  { name: 'Load and device', steps: ['ib', 'start', 'in'] },
  { name: 'Factors and conductor', steps: ['ca', 'cg', 'ci', 'cf', 'itMin', 'csa', 'it', 'iz'] },
  { name: 'Voltage drop', steps: ['voltDropPerAm', 'ct', 'voltDrop', 'voltDropTotal'] },
  { name: 'Fault to earth', steps: ['ohmPerM', 'r1', 'rn', 'r2', 'r1r2', 'r1r2Hot', 'zs'] },
  {
    name: 'Protection',
    steps: [
      'residual',
      'residualType',
      'residualDelay',
      'zsMax',
      'faultCurrent',
      'time',
      'energy',
      'cpcMin',
      'breaking',
      'ipfEnd',
      'selective',
      'afdd',
      'direction',
    ],
  },
  { name: 'Containment', steps: ['containment'] },
  { name: 'Load and switchgear', steps: ['demand', 'mainSwitch', 'busbar'] },
  { name: 'Intake', steps: ['tails', 'earthing', 'bonding', 'spd'] },
]

/** The boxes of one circuit or board under the heads that belong together. */
export const sheetParts = (nodes: readonly NodeKey[]) =>
  PARTS.map(({ name, steps }) => ({
    name,
    nodes: steps.flatMap((step) => nodes.filter((node) => stepOf(node) === step)),
  })).filter(({ nodes: own }) => own.length > 0)

/** What can be picked at a step of this circuit; of the shelf only what such a device or way of laying has. */
export function choicesFor(step: StepKey, circuit: PublicCircuit | undefined): readonly Choice[] | undefined {
  const { choices } = STEP_KINDS[step]
  if (!choices || !circuit) return choices
  if (step === 'breaking')
    return choices.filter(({ value }) => DEVICES[circuit.device.family].capacitiesA.includes(value))
  if (step === 'containment')
    return choices.filter((_, i) => (circuit.cable.kind === 'singles-in-conduit') === i < CONDUITS_MM.length)
  return choices
}
