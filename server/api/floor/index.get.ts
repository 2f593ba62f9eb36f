import { lookApi } from '~~/server/http/api'

export default lookApi('floor', () => [])
