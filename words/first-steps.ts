/* The first day of a centre: what to do, in which order, and where. */
import type { FirstStep } from '#core/planning/first-steps'

interface StepWords {
  readonly title: string
  readonly says: string
  /** What the way there says; none where it is done on the page itself. */
  readonly go?: string
  /** Who does it, for everybody else. */
  readonly by: string
}

export const FIRST_STEP_TEXT: Readonly<Record<FirstStep, StepWords>> = {
  framework: {
    title: 'Look over the unit framework',
    says: 'A sample is in force, so that everything works. Take another sample, or read your own from a file.',
    go: 'Framework',
    by: 'an administrator',
  },
  staff: {
    title: 'Add the staff',
    says: 'One instructor at least; assessors, technicians and verifiers with their own sign-in.',
    go: 'Import a roster',
    by: 'an administrator',
  },
  apprentices: {
    title: 'Add a group',
    says: 'Apprentices with the group that they are taught in. Each gets a slip with a one-time password.',
    go: 'Import a roster',
    by: 'an administrator',
  },
  instruments: {
    title: 'List the test instruments',
    says: 'Name, serial number and calibration, so that a sheet says what it was measured with.',
    go: 'Stores',
    by: 'an instructor or a technician',
  },
  exercise: {
    title: 'Get a first exercise',
    says: 'Take the sample exercises and change them, or write one of your own.',
    by: 'an instructor',
  },
  set: {
    title: 'Set it for the group',
    says: 'Open an exercise and choose “Set for a group”. Everybody gets their own lengths and a bay.',
    by: 'an instructor',
  },
}

/** What stands where the samples have been taken. */
export const samplesTaken = (count: number): string =>
  count === 1 ? '1 sample exercise is here as a draft.' : `${count} sample exercises are here as drafts.`

/** A roster to begin from: who stands for which role. */
export const SAMPLE_ROSTER = `number,name,group,role
I-1,Your instructor,,instructor
S-1,Your assessor,,assessor
T-1,First apprentice,Monday level 2,
T-2,Second apprentice,Monday level 2,
`
