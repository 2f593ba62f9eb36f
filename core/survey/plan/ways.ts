import type { CableKind, Method } from '../../regulations/cables/cable'
import type { Way } from './plan'

/** The usual cable and reference method of a way; BS 7671 Table 4A2, from memory. */
export const METHOD_OF_WAY: Readonly<Record<Way, { readonly cable: CableKind; readonly method: Method }>> = {
  surface: { cable: 'flat-twin-earth', method: 'C' },
  trunking: { cable: 'singles-in-trunking', method: 'B' },
  'ceiling-void': { cable: 'flat-twin-earth', method: '100' },
  chase: { cable: 'flat-twin-earth', method: 'C' },
  buried: { cable: 'armoured-90', method: 'D' },
}
