import type { Addition, Duty } from '#core/design/advisers/addition'
import type { RcdWay } from '#core/design/advisers/rcd'
import type { LeakageItem } from '#core/regulations/leakage'
import type { RcdNeed } from '#core/design/limits/rcd-needs'

export const NEED_SENTENCE: Readonly<Record<RcdNeed['code'], string>> = {
  sockets: 'Socket-outlets up to the rating that the edition names need additional protection.',
  concealed: 'The cable lies less than 50 mm deep without mechanical protection.',
  dwellingLighting: 'Lighting circuits in homes need additional protection since 2018.',
  bathroom: 'Every circuit that serves a bathroom needs additional protection.',
  outdoors: 'Equipment used outdoors up to 32 A needs additional protection.',
  faultProtection: 'In a TT system the RCD is what clears a fault to earth.',
}

export const WAY_TEXT: Readonly<Record<RcdWay, { readonly name: string; readonly cost: string }>> = {
  rcbo: {
    name: 'An RCBO in place of the breaker',
    cost: 'Board dead for a short while. One fault opens one circuit. Only a make that the board was tested with.',
  },
  'rcd-section': {
    name: 'An RCD for a section of the board',
    cost: 'Board dead for longer, neutrals sorted to their own bar. One fault opens every circuit of the section.',
  },
  upstream: {
    name: 'An RCD in front of the whole board',
    cost: 'One fault, or the sum of small leakages, takes out every circuit; the supply must be isolated to fit it.',
  },
  socket: {
    name: 'A socket-outlet with its own RCD',
    cost: 'Little work. Protects what is plugged in, not the cable in the wall.',
  },
  'separate-enclosure': {
    name: 'A small enclosure with an RCBO beside the board',
    cost: 'Wall space, a short extra run, one more place to look for a tripped device. Usual where an old board cannot take an RCBO.',
  },
  'new-board': {
    name: 'A new board',
    cost: 'A day without supply, every circuit tested before it is put back; old faults come to light and must be dealt with.',
  },
  'protect-cable': {
    name: 'Protect the cable instead',
    cost: 'Earthed steel conduit, a covering that stops a nail, or run on the surface. Chasing and making good.',
  },
}

export const ADDITION_NAME: Readonly<Record<Addition, string>> = {
  'single-to-twin': 'A single socket becomes a twin',
  'fused-spur': 'A fused spur',
  'points-on-ring': 'Points added to a ring',
  light: 'A light added',
  'shower-swap': 'A larger shower',
  'new-circuit': 'A new circuit',
  'new-board': 'A new board',
}

export const DUTY_TEXT: Readonly<Record<Duty, string>> = {
  'look-first':
    'Look before you add: condition, supply, earthing, bonding, the rating and cable that are there.',
  capacity:
    'Show that the circuit carries the addition: Ib ≤ In ≤ Iz, voltage drop and Zs at the new furthest point (132.16).',
  'earthing-first': 'Earthing or bonding is not as it must be: put it right before anything is added.',
  residual: 'Provide the RCD before the addition is used. The ways to do it are beside.',
  'residual-there': 'An RCD is needed and is there: test it with the rest.',
  'spur-rule':
    'A twin on an unfused spur is allowed where the spur leaves the ring itself and feeds nothing else.',
  'spur-of-spur':
    'This spur feeds another socket already: a second one beyond it is not allowed unfused. Extend the ring, or fuse the spur at 13 A.',
  'extend-ring':
    'Break the ring and run both legs on, so that it stays a ring; then test r1, rn and r2 end to end again.',
  'fused-connection': 'Feed it through a fused connection unit: 13 A at most, cable behind it by that fuse.',
  'cpc-at-light':
    'An older lighting circuit may have no cpc: without one only class II fittings, and a label.',
  'own-circuit':
    'Design the circuit again for the larger load: device, cable, switch and RCD. It is its own circuit.',
  zones: 'Bathroom: outside the zones or of the degree of protection they ask for.',
  surge: 'Decide on surge protection with the owner and write it down.',
  test: 'Dead tests on the altered circuit, then live tests under supervision: continuity, insulation, polarity, Zs, RCD.',
  label: 'Label at the RCD: test button and interval.',
  'record-minor': 'Write a minor-works style record: what was added, earthing, readings, declaration.',
  'record-full': 'Write an installation record for the new circuit with schedules of inspection and tests.',
  'client-told': 'Tell the client of faults seen in the rest of the installation, in writing.',
}

/** Why an RCD that nobody asks for is still worth having. */
export const RETROSPECTIVE_TEXT =
  'No new work is done: what satisfied the edition of its day is not unsafe for a later ' +
  'rule, and a report says so without condemning it. New work here would need one, for ' +
  'the reasons below, and it is worth having all the same: it disconnects where somebody ' +
  'touches a live part, where the cpc has broken, and where a nail goes through the cable.'

export const LEAKAGE_NAME: Readonly<Record<LeakageItem | 'heating', string>> = {
  computer: 'Computers',
  printer: 'Printers',
  copier: 'Copiers',
  router: 'Routers and chargers',
  ledDriver: 'LED drivers',
  dischargeLamp: 'Discharge lamps',
  refrigerator: 'Refrigerators and freezers',
  washingMachine: 'Washing machines',
  dishwasher: 'Dishwashers',
  toolClassOne: 'Portable equipment, class I',
  toolClassTwo: 'Portable equipment, class II',
  filterOfDrive: 'Motor drives with filter',
  heating: 'Heating',
}
