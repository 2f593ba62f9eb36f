import { getQuery } from 'h3'
import { lookApi } from '~~/server/http/api'

export default lookApi('groupRecord', (event) => [String(getQuery(event).cohort ?? '')])
