import type { RosterProblem } from '#core/exercise/roster'

export const ROSTER_PROBLEM: Readonly<Record<RosterProblem, string>> = {
  numberMissing: 'The number is empty. Give each person their college number.',
  numberForm: 'The number may hold letters, digits and hyphens, 2 to 20 of them.',
  numberTwice: 'This number stands more than once in the file. Keep one row.',
  nameMissing: 'The name is empty.',
  nameDamaged: 'Letters of the name are damaged. Save the file as UTF-8 and choose it again.',
  roleUnknown:
    'The role is not known. Use administrator, instructor, assessor, apprentice, technician or verifier.',
  cohortMissing: 'An apprentice needs a group.',
  alreadyHere: 'Somebody with this number is here already.',
  tooLong: 'Name or group is longer than 80 letters.',
}
