import { ProofRequest } from '#schemas/trust-views'
import { api } from '~~/server/http/api'
import { proveAgain } from '~~/server/services/proof'

export default api(
  ProofRequest,
  async ({ context, actor, body }) => {
    await proveAgain(context, actor, body.secret)
  },
  { whileLocked: true },
)
