import type { RunFields } from '#core/containment/form'
import type { Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import type { Context } from '../server/services/context'
import { saveInspection, showInspection } from '../server/services/inspections'
import { closeMeasurement, createRun, saveMeasurement, startMeasurement } from '../server/services/runs'

/** The lighting of the inspection pit: three planes, an offset round a girder, a bridge over a pipe. */
export const PIT_RUN: RunFields = {
  name: 'Inspection pit lighting',
  material: 'steel',
  made: 'conduit',
  size: '20',
  bays: '8',
  tolerance: '2',
  areas: '4×1.5 2×2.5',
  radius: '82',
  start: '-6',
  order: 's1 s2 s3 s4 s5',
  's1.to': 'up',
  's1.length': '1150',
  's1.then': 'bend',
  's2.to': 'right',
  's2.length': '1280',
  's2.then': 'box',
  's2.detour': 'offset',
  's2.at': '420',
  's2.height': '75',
  's2.angle': '30',
  's2.towards': 'out',
  's3.to': 'right',
  's3.length': '1460',
  's3.then': 'inspection',
  's3.detour': 'bridge',
  's3.at': '460',
  's3.height': '90',
  's3.angle': '45',
  's3.flat': '140',
  's3.towards': 'out',
  's4.to': 'out',
  's4.length': '640',
  's4.then': 'bend',
  's5.to': 'down',
  's5.length': '780',
}

/** What was measured on it: the bend’s saving had been forgotten. */
const PIT_RUN_MEASURED = {
  s1: '+1',
  b1: '✓',
  s2: '+35',
  b2: '✓',
  w2: '✓',
  h2: '+1',
  t2: '−1',
  s3: '0',
  b3: '✓',
  w3: '✓',
  h3: '−1',
  t3: '0',
  s4: '+1',
  b4: '✗',
  w4: '✓',
  s5: '+36',
  b5: '✓',
  w5: '✓',
}

/** Runs of the demo, and one that was measured. One bay that an assessor has gone over. */
export function playWorkmanship(repos: Repos, at: (minutesAgo: number) => Context): void {
  const who = (number: string): Person => repos.people.byNumber(number)!
  const { id } = createRun(at(60 * 26), who('I-201'), PIT_RUN)
  const { id: measured } = startMeasurement(at(55), who('S-301'), id, who('T-408').id)
  saveMeasurement(at(50), who('S-301'), measured, { version: 1, fields: PIT_RUN_MEASURED })
  closeMeasurement(at(48), who('S-301'), measured, { version: 2, parts: {}, reason: '' })
  const bay = repos.attempts.byPerson(who('U-604').id)[0]!
  inspectBay(at, who('S-301'), bay.id)
}

/** Everything as it should be but a loose bar and a label. */
function inspectBay(at: (minutesAgo: number) => Context, assessor: Person, attemptId: number): void {
  const { items, version } = showInspection(at(30), assessor, attemptId)
  const torqued = items.filter(({ torqueNm }) => torqueNm !== null)
  const bar = items.find(({ what }) => what === 'earthBar')!
  const label = items.find(({ what }) => what === 'label')!
  saveInspection(at(28), assessor, attemptId, {
    version,
    fields: {
      ...Object.fromEntries(items.map(({ key }) => [`see.${key}`, 'ok'])),
      ...Object.fromEntries(torqued.map(({ key, torqueNm }) => [`torque.${key}`, String(torqueNm)])),
      [`see.${bar.key}`]: 'potential',
      [`remark.${bar.key}`]: 'Loose',
      [`torque.${bar.key}`]: '1.2',
      [`see.${label.key}`]: 'improve',
      [`remark.${label.key}`]: 'Does not fit the circuit',
    },
  })
}
