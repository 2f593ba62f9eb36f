import type { Seriousness } from '../../findings/seriousness'
import type { Wire } from '../model/rig'
import type { Difference } from './difference'
import { roleOf } from './edges'

/** Area and colour of a conductor in its place. */
export const conductorDifferences = (want: Wire, is: Wire): Difference[] => [
  ...areaDifference(want, is),
  ...colourDifference(want, is),
]

function areaDifference(want: Wire, is: Wire): Difference[] {
  if (is.areaMm2 === want.areaMm2) return []
  const isThinner = is.areaMm2 < want.areaMm2
  return [
    {
      ...placeOf(want, is),
      code: isThinner ? 'thinner' : 'thicker',
      seriousness: isThinner ? 'fault' : 'note',
      params: { want: want.areaMm2, is: is.areaMm2 },
    },
  ]
}

function colourDifference(want: Wire, is: Wire): Difference[] {
  if (is.colour === want.colour) return []
  return [
    {
      ...placeOf(want, is),
      code: 'colour',
      seriousness: colourSeriousness(want, is),
      params: { want: want.colour, is: is.colour },
    },
  ]
}

/**
 * Green-and-yellow where it is not protective, or the other way round, can hurt; another line's colour is
 * order.
 */
function colourSeriousness(want: Wire, is: Wire): Seriousness {
  if ((is.colour === 'green-and-yellow') !== (want.colour === 'green-and-yellow')) return 'critical'
  return roleOf(is) === roleOf(want) ? 'note' : 'fault'
}

const placeOf = (want: Wire, is: Wire) => ({ wire: is.id, at: [is.from, is.to], role: roleOf(want) })
