import { groupAsked, lookApi } from '~~/server/http/api'

export default lookApi('asking', (event) => [groupAsked(event)])
