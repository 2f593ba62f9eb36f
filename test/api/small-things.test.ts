/* Found by trying: each of these once gave an error of the server, or an answer to somebody it was not for. */
import { beforeEach, describe, expect, it } from 'vitest'
import { previewRoster } from '#core/exercise/roster'
import { addInstrument, retireInstrument } from '../../server/services/instruments'
import { releaseMany } from '../../server/services/marking'
import { importRoster, previewRosterFile } from '../../server/services/people'
import { aCentre, aSetExercise, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))
const file = (text: string) => new TextEncoder().encode(text)

describe('instruments', () => {
  const body = {
    name: 'Multi 1',
    serial: 'A-1',
    kind: 'multifunction',
    doneOn: '2026-01-01',
    dueOn: '2027-01-01',
    certificate: 'DC-1',
  } as const
  it('the name of one that was taken out of use is refused in a sentence, in whatever case it is written', async () => {
    const [added] = addInstrument(centre.context, centre.technician, body)
    retireInstrument(centre.context, centre.technician, added!.id)
    for (const name of ['Multi 1', ' multi 1 '])
      expect(await refusal(() => addInstrument(centre.context, centre.technician, { ...body, name }))).toBe(
        'instrumentRetired',
      )
  })
})

describe('a roster', () => {
  it('brought in twice at once is brought in once, and the second is told', async () => {
    const bring = () =>
      refusal(() =>
        importRoster(centre.context, centre.administrator, file('number,name,group\nT-9,Ann,Friday\n')),
      )
    expect((await Promise.all([bring(), bring()])).sort()).toEqual(['none', 'rosterHasBadRows'])
  })
  it.each(['JOÃO PEÇANHA', 'CONCEIÇÃO', 'Ágota Ö. Ståhl', 'ÂNGELA'])('takes the name %s as it is', (name) => {
    const row = { line: 2, number: 'T-9', name, role: '', cohort: 'Friday' }
    expect(previewRoster([row], new Set()).bad).toEqual([])
  })
  it.each(['JosÃ© Ruiz', 'BjÃ¶rn', 'Fran\uFFFDois', 'Oâ€™Hara'])(
    'refuses %s: letters were damaged on the way',
    (name) => {
      const row = { line: 2, number: 'T-9', name, role: '', cohort: 'Friday' }
      expect(previewRoster([row], new Set()).bad[0]!.problems).toEqual(['nameDamaged'])
    },
  )
  it('is read with tabs, and with a first line that names the separator', () => {
    for (const text of [
      'number\tname\tgroup\nT-9\tAnn\tFriday\n',
      'sep=;\nnumber;name;group\nT-9;Ann;Friday\n',
    ])
      expect(previewRosterFile(centre.context, centre.administrator, file(text)).good).toMatchObject([
        { number: 'T-9', name: 'Ann', cohort: 'Friday' },
      ])
  })
})

it('giving back a pile answers those who mark, and nobody else', async () => {
  const { attemptId } = aSetExercise(centre)
  for (const actor of [centre.apprentice, centre.technician, centre.administrator])
    expect(await refusal(() => releaseMany(centre.context, actor, [attemptId]))).toBe('notAllowed')
  expect(releaseMany(centre.context, centre.assessor, [attemptId])).toMatchObject({ released: 0 })
})
