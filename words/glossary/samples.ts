/** Columns of two languages to show how they are filled; each word is still to be checked by a speaker. */
export const SAMPLE_LANGUAGES: readonly {
  readonly code: string
  readonly name: string
  readonly texts: Readonly<Record<string, string>>
}[] = [
  {
    code: 'pl',
    name: 'Polski',
    texts: {
      line: 'przewód fazowy',
      neutral: 'przewód neutralny',
      cpc: 'przewód ochronny',
      earth: 'uziemienie',
      breaker: 'wyłącznik nadprądowy',
      rcd: 'wyłącznik różnicowoprądowy',
      'distribution-board': 'rozdzielnica',
      'socket-outlet': 'gniazdo wtyczkowe',
      'insulation-resistance': 'rezystancja izolacji',
      'short-circuit': 'zwarcie',
      voltageDrop: 'spadek napięcia',
      conductor: 'przewodnik',
      fuse: 'bezpiecznik',
    },
  },
  {
    code: 'es',
    name: 'Español',
    texts: {
      line: 'conductor de fase',
      neutral: 'conductor neutro',
      cpc: 'conductor de protección',
      earth: 'tierra',
      breaker: 'interruptor automático',
      rcd: 'interruptor diferencial',
      'distribution-board': 'cuadro de distribución',
      'socket-outlet': 'base de enchufe',
      'insulation-resistance': 'resistencia de aislamiento',
      'short-circuit': 'cortocircuito',
      voltageDrop: 'caída de tensión',
      conductor: 'conductor',
      fuse: 'fusible',
    },
  },
]
