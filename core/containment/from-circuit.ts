import type { Circuit } from '../installation/installation'
import type { RunFields } from './form'

/** Circuits whose conductors are drawn into conduit or trunking. */
export const isInContainment = ({ cable }: Pick<Circuit, 'cable'>): boolean =>
  cable.kind.includes('conduit') || cable.kind.includes('trunking')

/**
 * A first run along the route that an exercise gives: its length between boxes with its bends, up and along
 * in turn. Whoever sets it out moves the corners.
 */
export function runFromCircuit(
  code: string,
  { name, lengthM, run, cable }: Pick<Circuit, 'name' | 'lengthM' | 'run' | 'cable'>,
): RunFields {
  const sections = Math.max(1, Math.ceil(lengthM / run.betweenBoxesM - 1e-9))
  const perSection = run.bends + 1
  const each = Math.round((lengthM * 1000) / (sections * perSection) / 10) * 10
  const count = sections * perSection
  const straights = Array.from({ length: count }, (_, i): [string, string][] => {
    const id = `s${i + 1}`
    const isBox = (i + 1) % perSection === 0
    return [
      [`${id}.to`, (i % perSection) % 2 === (perSection > 1 ? 0 : 1) ? 'up' : 'right'],
      [`${id}.length`, String(Math.max(10, each))],
      [`${id}.then`, isBox ? 'box' : 'bend'],
    ]
  }).flat()
  return {
    name: `${code} ${name}`,
    made: cable.kind.includes('trunking') ? 'trunking' : 'conduit',
    material: 'pvc',
    size: cable.kind.includes('trunking') ? '50x50' : '20',
    bends: '2',
    order: Array.from({ length: count }, (_, i) => `s${i + 1}`).join(' '),
    ...Object.fromEntries(straights),
  }
}
