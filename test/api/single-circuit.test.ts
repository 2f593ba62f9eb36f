/* One circuit under test: its records, and what may be read beside what is asked. */
import { describe, expect, it } from 'vitest'
import { saveWork } from '../../server/services/work-save'
import { showTestRecords } from '../../server/services/test-records'
import { showWork } from '../../server/services/work'
import { aCentre, aSetExercise, bringTo } from '../support/centre'

describe('a single circuit', () => {
  it('has its records too, and boxes for RCD and functions beside what is asked', () => {
    const centre = aCentre()
    const { context } = centre
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'live')
    const { readingKeys, moreKeys } = showWork(context, centre.apprentice, attemptId)
    expect(moreKeys.filter((key) => readingKeys.includes(key))).toEqual([])
    const further = moreKeys.find((key) => key.includes('functional'))!
    const { version, readings } = centre.repos.attempts.byId(attemptId)!
    saveWork(context, centre.apprentice, attemptId, {
      version,
      answers: centre.repos.attempts.byId(attemptId)!.answers,
      readings: { ...readings, [further]: '✓' },
    })
    expect(centre.repos.attempts.byId(attemptId)!.readings[further]).toBe('✓')
    const { papers } = showTestRecords(context, centre.apprentice, attemptId)
    expect(papers.minor.paper.parts.length).toBeGreaterThan(3)
  })
})
