import { getQuery } from 'h3'
import { TOPICS } from '#core/questions/topics'
import { api } from '~~/server/http/api'
import { readyRehearsal, showRehearsal, type Wanted } from '~~/server/services/question-rehearsals'

const WANTED: readonly string[] = ['all', 'myths', 'job', ...TOPICS]

export default api(undefined, async ({ context, actor, event }) => {
  await readyRehearsal(context, actor)
  const asked = String(getQuery(event).topic ?? 'all')
  return showRehearsal(context, actor, (WANTED.includes(asked) ? asked : 'all') as Wanted)
})
