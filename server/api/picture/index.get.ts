import { getQuery } from 'h3'
import { PictureQuery } from '#schemas/planning-requests'
import { validate } from '#schemas/validate'
import { lookApi } from '~~/server/http/api'
import { Problem } from '~~/server/services/problem'

export default lookApi('picture', (event) => {
  const checked = validate(PictureQuery, getQuery(event))
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return [checked.value.cohort, checked.value.since]
})
