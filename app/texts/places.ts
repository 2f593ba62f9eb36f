import type { Role } from '#core/exercise/roster'

/** A page of the main navigation and whose it is. */
export interface Place {
  readonly to: string
  readonly name: string
  readonly roles: readonly Role[]
}

export const PLACES: readonly Place[] = [
  { to: '/work', name: 'My tasks', roles: ['apprentice'] },
  { to: '/floor', name: 'Floor', roles: ['instructor', 'assessor'] },
  {
    to: '/exercises',
    name: 'Exercises',
    roles: ['instructor', 'assessor', 'administrator', 'technician', 'verifier'],
  },
  { to: '/surveys', name: 'Surveys', roles: ['instructor', 'assessor', 'apprentice'] },
  { to: '/runs', name: 'Conduit', roles: ['instructor', 'assessor', 'technician', 'apprentice'] },
  { to: '/isolation', name: 'Isolation', roles: ['instructor', 'assessor'] },
  { to: '/ask', name: 'Questions', roles: ['instructor', 'assessor'] },
  { to: '/marking', name: 'Marking', roles: ['instructor', 'assessor', 'verifier'] },
  { to: '/records', name: 'Records', roles: ['instructor', 'assessor', 'administrator', 'verifier'] },
  { to: '/accounts', name: 'Accounts', roles: ['apprentice'] },
  { to: '/stores', name: 'Stores', roles: ['technician', 'instructor'] },
  { to: '/people', name: 'People', roles: ['administrator', 'instructor', 'assessor'] },
  { to: '/centre', name: 'Centre', roles: ['administrator', 'instructor', 'assessor', 'verifier'] },
  { to: '/keeping', name: 'Data and access', roles: ['administrator'] },
  { to: '/practice', name: 'Practice', roles: ['apprentice', 'instructor', 'assessor'] },
  {
    to: '/library',
    name: 'Library',
    roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'],
  },
  { to: '/record', name: 'My record', roles: ['apprentice'] },
]

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
  {
    to: '/accounts',
    name: 'Accounts of work elsewhere, with claims to decide',
    roles: ['instructor', 'assessor', 'verifier'],
  },
  {
    to: '/verification',
    name: 'Verification: second marking, agreement, appeals',
    roles: ['instructor', 'assessor', 'verifier', 'administrator'],
  },
  {
    to: '/framework',
    name: 'Unit framework: units, criteria, quotas',
    roles: ['administrator', 'instructor', 'assessor', 'verifier'],
  },
  { to: '/exercises/new', name: 'New exercise', roles: ['instructor'] },
  { to: '/wall', name: 'Wall display of the floor', roles: ['instructor', 'assessor'] },
  { to: '/practice/plant', name: 'Plant a fault', roles: ['instructor', 'assessor'] },
  { to: '/practice/inspection', name: 'Inspection trainer', roles: ['instructor', 'assessor', 'apprentice'] },
  {
    to: '/password',
    name: 'Change my password',
    roles: ['administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'],
  },
]
