import { api } from '~~/server/http/api'

/** The newest link of the chain of what was decided and signed, to be printed with a record. */
export default api(undefined, ({ context }) => ({ head: context.repos.seal.head(), at: context.now }))
