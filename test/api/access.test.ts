/* Object by object: who may open and change it, as one matrix of roles against whose it is. */
import { describe, expect, it } from 'vitest'
import { ROLES, type Role } from '#core/exercise/roster'
import { mayWith, OBJECT_ACTIONS, type Belonging, type ObjectAction } from '../../server/services/access'
import type { Person } from '../../server/repos/people'

const person = (role: Role, id: number): Person =>
  ({ id, role, number: `${role}`, name: role, cohort: '', mustChange: false }) as Person
const OWNER = 1
const CASES: Readonly<Record<string, Belonging>> = {
  own: { ownerId: OWNER },
  "another's": { ownerId: 2 },
  "another's, of the staff": { ownerId: 2, isOfStaff: true },
  'own, released': { ownerId: OWNER, isReleased: true },
  "another's, released": { ownerId: 2, isReleased: true },
  "another's, showing own work": { ownerId: 2, showsWorkOf: (id) => id === OWNER },
}
const MARKERS = 'instructor assessor'
const APPRENTICE_AND_MARKERS = `apprentice ${MARKERS}`
const LOOKERS = `${MARKERS} verifier`
const APPRENTICE_AND_LOOKERS = `apprentice ${LOOKERS}`

/** Roles that may, by whose it is; what is not named is refused to everybody. */
const MAY: Readonly<Record<ObjectAction, Readonly<Partial<Record<keyof typeof CASES, string>>>>> = {
  'work.open': { own: 'apprentice', 'own, released': 'apprentice' },
  'record.open': {
    own: APPRENTICE_AND_LOOKERS,
    'own, released': APPRENTICE_AND_LOOKERS,
    "another's": LOOKERS,
    "another's, of the staff": LOOKERS,
    "another's, released": LOOKERS,
    "another's, showing own work": LOOKERS,
  },
  'inspection.open': {
    own: APPRENTICE_AND_MARKERS,
    'own, released': APPRENTICE_AND_MARKERS,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
  'round.open': { own: APPRENTICE_AND_MARKERS, 'own, released': APPRENTICE_AND_MARKERS },
  'photo.open': {
    own: APPRENTICE_AND_MARKERS,
    'own, released': APPRENTICE_AND_MARKERS,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": APPRENTICE_AND_MARKERS,
  },
  'account.open': {
    own: APPRENTICE_AND_LOOKERS,
    'own, released': APPRENTICE_AND_LOOKERS,
    "another's": LOOKERS,
    "another's, of the staff": LOOKERS,
    "another's, released": LOOKERS,
    "another's, showing own work": LOOKERS,
  },
  'account.change': { own: 'apprentice', 'own, released': 'apprentice' },
  'survey.open': {
    own: APPRENTICE_AND_MARKERS,
    'own, released': APPRENTICE_AND_MARKERS,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
  'survey.change': { own: APPRENTICE_AND_MARKERS, 'own, released': APPRENTICE_AND_MARKERS },
  'rehearsal.open': { own: APPRENTICE_AND_MARKERS, 'own, released': APPRENTICE_AND_MARKERS },
  'faultFinding.open': {
    own: APPRENTICE_AND_MARKERS,
    'own, released': APPRENTICE_AND_MARKERS,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
  'faultFinding.step': { own: APPRENTICE_AND_MARKERS, 'own, released': APPRENTICE_AND_MARKERS },
  'run.open': {
    own: `technician ${APPRENTICE_AND_MARKERS}`,
    'own, released': `technician ${APPRENTICE_AND_MARKERS}`,
    "another's": MARKERS,
    "another's, of the staff": `technician ${APPRENTICE_AND_MARKERS}`,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
  'run.change': {
    own: `technician ${APPRENTICE_AND_MARKERS}`,
    'own, released': `technician ${APPRENTICE_AND_MARKERS}`,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
  'measurement.open': {
    own: MARKERS,
    'own, released': `technician ${APPRENTICE_AND_MARKERS}`,
    "another's": MARKERS,
    "another's, of the staff": MARKERS,
    "another's, released": MARKERS,
    "another's, showing own work": MARKERS,
  },
}

describe.each(OBJECT_ACTIONS)('%s', (action) => {
  it.each(Object.keys(CASES))('%s', (whose) => {
    const allowed = ROLES.filter((role) => mayWith(person(role, OWNER), action, CASES[whose]!)).sort()
    expect(allowed).toEqual((MAY[action][whose] ?? '').split(' ').filter(Boolean).sort())
  })
})
