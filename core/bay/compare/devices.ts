import type { DevicePart, Part, Rig } from '../model/rig'
import { fedEnds, isFedWrong } from '../behaviour/fed-ends'
import type { Difference } from './difference'

/** Devices that are missing, fed at the end marked load, or of another rating. */
export function deviceDifferences(intended: Rig, built: Rig): Difference[] {
  const ends = fedEnds(built)
  return intended.parts.flatMap((part): Difference[] => {
    if (part.kind !== 'device') return []
    const is = built.parts.find(({ id }) => id === part.id)
    if (!isDevice(is)) return [changed(part, 'fault', { what: 'missing' })]
    return [...(isFedWrong(part, ends.get(part.id)) ? [reversed(part)] : []), ...ratings(part, is)]
  })
}

const isDevice = (part: Part | undefined): part is DevicePart => part?.kind === 'device'

function ratings(want: DevicePart, is: DevicePart): Difference[] {
  const found: Difference[] = []
  if (is.ratingA !== want.ratingA || is.overcurrent?.curve !== want.overcurrent?.curve)
    found.push(changed(want, 'fault', { what: overcurrentOf(is), want: overcurrentOf(want) }))
  if (is.residual?.ratedA !== want.residual?.ratedA)
    found.push(
      changed(want, 'critical', {
        what: is.residual ? residualOf(is.residual) : 'no RCD',
        want: want.residual ? residualOf(want.residual) : 'none',
      }),
    )
  return found
}

const overcurrentOf = ({ overcurrent, ratingA }: DevicePart): string =>
  `${overcurrent?.curve ?? ''}${ratingA} A`
const residualOf = ({ ratedA }: NonNullable<DevicePart['residual']>): string => `${ratedA * 1e3} mA`

const changed = (
  { id }: DevicePart,
  seriousness: Difference['seriousness'],
  params: Difference['params'],
): Difference => ({ code: 'thingChanged', seriousness, wire: null, at: [id], role: null, params })

const reversed = ({ id, poles }: DevicePart): Difference => ({
  code: 'deviceReversed',
  seriousness: 'critical',
  wire: null,
  at: [`${id}.${poles[0]} in`],
  role: null,
  params: {},
})
