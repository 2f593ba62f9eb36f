import { openApi } from '~~/server/http/api'
import { Problem } from '~~/server/services/problem'

/** Every path that no route answers. */
export default openApi(undefined, () => {
  throw new Problem('noSuchPath')
})
