import { getQuery } from 'h3'
import { PictureQuery } from '#schemas/planning-requests'
import { validate } from '#schemas/validate'
import { api } from '~~/server/http/api'
import { Problem } from '~~/server/services/problem'
import { groupPicture } from '~~/server/services/picture'

export default api(undefined, ({ context, actor, event }) => {
  const checked = validate(PictureQuery, getQuery(event))
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return groupPicture(context, actor, checked.value.cohort, checked.value.since)
})
