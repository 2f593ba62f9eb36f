import { DEVICES } from '../../regulations/devices'
import type { DevicePart, Rig } from '../model/rig'
import type { RcdFunction } from '../protection/rcd'
import { changePart, reverseDevice } from './edit'
import type { FaultKind } from './fault'

const devices = (rig: Rig): DevicePart[] =>
  rig.parts.filter((part): part is DevicePart => part.kind === 'device')
const ofDevices = (is: (device: DevicePart) => boolean) => (rig: Rig) =>
  devices(rig)
    .filter(is)
    .map(({ id }) => ({ key: id, at: [id] }))
const deviceAt = (rig: Rig, id: string) => devices(rig).find((device) => device.id === id)!

const nextRating = ({ overcurrent, ratingA }: DevicePart) =>
  DEVICES[overcurrent!.family].ratingsA.find((rating) => rating > ratingA)

/** An RCD that differs from the one that was meant in this. */
const residual = (
  code: string,
  prior: number,
  isMeant: (rcd: RcdFunction) => boolean,
  change: Partial<RcdFunction>,
): FaultKind => ({
  code,
  group: 'thing',
  prior,
  places: ofDevices((device) => device.residual !== null && isMeant(device.residual)),
  apply: (rig, { key }) =>
    changePart<DevicePart>(rig, key, { residual: { ...deviceAt(rig, key).residual!, ...change } }),
})

export const THING_FAULTS: readonly FaultKind[] = [
  {
    code: 'ratingTooHigh',
    group: 'thing',
    prior: 2,
    places: ofDevices((device) => device.overcurrent !== null && nextRating(device) !== undefined),
    apply: (rig, { key }) => changePart<DevicePart>(rig, key, { ratingA: nextRating(deviceAt(rig, key))! }),
  },
  {
    code: 'otherCurve',
    group: 'thing',
    prior: 2,
    places: ofDevices(({ overcurrent }) => overcurrent?.curve === 'B' || overcurrent?.curve === 'C'),
    apply: (rig, { key }) => {
      const { overcurrent } = deviceAt(rig, key)
      return changePart<DevicePart>(rig, key, {
        overcurrent: { ...overcurrent!, curve: overcurrent!.curve === 'B' ? 'C' : 'D' },
      })
    },
  },
  {
    code: 'residualMissing',
    group: 'thing',
    prior: 2,
    places: ofDevices(({ residual }) => residual !== null),
    apply: (rig, { key }) => changePart<DevicePart>(rig, key, { residual: null }),
  },
  residual('residualTooCoarse', 2, ({ ratedA }) => ratedA === 0.03, { ratedA: 0.3 }),
  residual('residualDelayed', 1, ({ isDelayed }) => !isDelayed, { isDelayed: true }),
  residual('residualGeneral', 3, ({ isDelayed }) => isDelayed, { isDelayed: false }),
  residual('residualSlow', 3, ({ wear }) => !wear, { wear: 'slow' }),
  residual('residualEarly', 1, ({ wear }) => !wear, { wear: 'early' }),
  residual('residualStuck', 3, ({ wear }) => !wear, { wear: 'stuck' }),
  {
    code: 'plugFuseTooLarge',
    group: 'thing',
    prior: 2,
    places: ofDevices(({ plugFuseA }) => plugFuseA === 3),
    apply: (rig, { key }) => changePart<DevicePart>(rig, key, { plugFuseA: 13 }),
  },
  {
    code: 'deviceReversed',
    group: 'thing',
    prior: 1,
    places: ofDevices(({ marking }) => marking !== 'either'),
    apply: (rig, { key }) => reverseDevice(rig, deviceAt(rig, key)),
  },
]
