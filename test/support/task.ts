import type { Exercise } from '#core/exercise/exercise'
import type { Task } from '#core/exercise/task'

/** A plain task that works out; a test names only what it is about. */
export function aTask(parts: Partial<Task> = {}): Task {
  return {
    supply: { arrangement: 'TN-C-S', zeOhm: 0.35, ipfA: 1600 },
    use: 'sockets',
    premises: 'industrial',
    location: 'general',
    concealed: false,
    load: { basis: 'power', powerW: 2900, powerFactor: 1 },
    lengthM: 28,
    cable: { kind: 'singles-in-conduit', method: 'B' },
    ambientC: 35,
    grouping: { circuits: 2, arrangement: 'bunched' },
    device: { family: 'rcbo', curve: 'B' },
    residualA: 0.03,
    measuredZs: 'eighty-percent',
    ...parts,
  }
}

export function anExercise(parts: Partial<Exercise> = {}): Exercise {
  return {
    format: 'nakshi.exercise', version: 1, code: 'X-01', title: 'A circuit', scenario: 'A story.', circuitName: 'Sockets', edition: '18-A2', task: aTask(),
    variants: { seed: 7, lengthSpread: 0.18, loadSpread: 0.1 }, criteria: ['D1', 'D2', 'D3', 'D4', 'D5', 'T1', 'T2', 'T3', 'T4', 'T5'],
    ...parts,
  }
}
