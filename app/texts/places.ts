import type { Role } from '#core/exercise/roster'

/** A page of the main navigation and whose it is. */
export interface Place {
  readonly to: string
  readonly name: string
  readonly roles: readonly Role[]
}

const EVERYBODY: readonly Role[] = [
  'instructor',
  'assessor',
  'administrator',
  'technician',
  'apprentice',
  'verifier',
]
const MARKERS: readonly Role[] = ['instructor', 'assessor']

/** Places that belong together, in the order of the work. */
export interface Area {
  readonly name: string
  readonly places: readonly Place[]
}

export const AREAS: readonly Area[] = [
  { name: 'My tasks', places: [{ to: '/work', name: 'My tasks', roles: ['apprentice'] }] },
  {
    name: 'Now',
    places: [
      { to: '/floor', name: 'Floor', roles: MARKERS },
      { to: '/isolation', name: 'Isolation', roles: MARKERS },
      { to: '/ask', name: 'Questions', roles: MARKERS },
    ],
  },
  {
    name: 'Set',
    places: [
      {
        to: '/exercises',
        name: 'Exercises',
        roles: ['instructor', 'assessor', 'administrator', 'technician', 'verifier'],
      },
      { to: '/surveys', name: 'Surveys', roles: ['instructor', 'assessor', 'apprentice'] },
      { to: '/plan', name: 'Sessions', roles: ['instructor', 'assessor', 'technician', 'administrator'] },
      { to: '/runs', name: 'Conduit', roles: ['instructor', 'assessor', 'technician', 'apprentice'] },
    ],
  },
  {
    name: 'Practise',
    places: [{ to: '/practice', name: 'Practice', roles: ['apprentice', 'instructor', 'assessor'] }],
  },
  {
    name: 'Assess',
    places: [
      { to: '/marking', name: 'Marking', roles: ['instructor', 'assessor', 'verifier'] },
      { to: '/accounts', name: 'Accounts', roles: ['apprentice', 'instructor', 'assessor', 'verifier'] },
      {
        to: '/verification',
        name: 'Verification',
        roles: ['instructor', 'assessor', 'verifier', 'administrator'],
      },
    ],
  },
  {
    name: 'Progress',
    places: [
      { to: '/records', name: 'Records', roles: ['instructor', 'assessor', 'administrator', 'verifier'] },
      { to: '/picture', name: 'Trends', roles: ['instructor', 'assessor', 'verifier'] },
      { to: '/record', name: 'My record', roles: ['apprentice'] },
    ],
  },
  {
    name: 'Workshop',
    places: [
      { to: '/stores', name: 'Stores', roles: ['technician', 'instructor'] },
      { to: '/dates', name: 'Dates', roles: ['instructor', 'assessor', 'technician', 'administrator'] },
    ],
  },
  {
    name: 'Library',
    places: [
      { to: '/library', name: 'Library', roles: EVERYBODY },
      { to: '/book', name: 'Your book', roles: ['instructor', 'assessor', 'administrator'] },
    ],
  },
  {
    name: 'College',
    places: [
      { to: '/people', name: 'People', roles: ['administrator', 'instructor', 'assessor'] },
      { to: '/centre', name: 'Centre', roles: ['administrator', 'instructor', 'assessor', 'verifier'] },
      { to: '/framework', name: 'Framework', roles: ['administrator', 'instructor', 'assessor', 'verifier'] },
      { to: '/keeping', name: 'Data and access', roles: ['administrator'] },
    ],
  },
]
export const PLACES: readonly Place[] = AREAS.flatMap(({ places }) => places)

/** What can be gone to by name but has no place in the navigation. */
export const MORE_PLACES: readonly Place[] = [
  {
    to: '/advisers',
    name: 'Advisers: do I need an RCD, what does an addition require',
    roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'],
  },
  { to: '/questions', name: 'Question bank and statistics', roles: ['instructor', 'assessor', 'verifier'] },
  { to: '/practice/questions', name: 'Rehearse questions and myths', roles: ['apprentice'] },
  {
    to: '/glossary',
    name: 'Glossary: terms of the trade',
    roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'],
  },
  { to: '/exercises/new', name: 'New exercise', roles: ['instructor'] },
  { to: '/wall', name: 'Wall display of the floor', roles: ['instructor', 'assessor'] },
  { to: '/practice/plant', name: 'Plant a fault', roles: ['instructor', 'assessor'] },
  {
    to: '/practice/principles/rheostat',
    name: 'First principles',
    roles: ['instructor', 'assessor', 'apprentice'],
  },
  { to: '/practice/inspection', name: 'Inspection trainer', roles: ['instructor', 'assessor', 'apprentice'] },
  {
    to: '/password',
    name: 'Change my password',
    roles: ['administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'],
  },
]
