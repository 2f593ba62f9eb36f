import type { Bar, Colour, DevicePart, Metalwork } from '../model/rig'

export const LINE_COLOURS: readonly Colour[] = ['brown', 'black', 'grey']

type DeviceFacts = Pick<DevicePart, 'id' | 'name' | 'board' | 'role' | 'poles' | 'ratingA'>

/** A device; everything that most of them share is filled in. */
export const devicePart = (facts: DeviceFacts & Partial<DevicePart>): DevicePart => ({
  kind: 'device',
  circuit: null,
  solid: [],
  hasEarth: false,
  overcurrent: null,
  residual: null,
  detectsArcs: false,
  plugFuseA: null,
  marking: 'either',
  way: null,
  ...facts,
})

/** A bar that serves several circuits. */
export const barPart = (facts: Pick<Bar, 'id' | 'name' | 'board' | 'serves' | 'terminals'>): Bar => ({
  kind: 'bar',
  circuit: null,
  ...facts,
})

/** A metal thing that touches the ground. */
export const metalwork = (id: string, name: string, toEarthOhm: number): Metalwork => ({
  id,
  name,
  kind: 'metalwork',
  board: null,
  circuit: null,
  toEarthOhm,
})
