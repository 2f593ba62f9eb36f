import { getQuery } from 'h3'
import { lookApi } from '~~/server/http/api'

export default lookApi('closing', (event) => [String(getQuery(event).cohort ?? '')])
