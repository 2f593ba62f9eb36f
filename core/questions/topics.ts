/** What a question is about. A criterion may rest on one: `question.bonding`. */
export const TOPICS = [
  'principles',
  'supply',
  'regulations',
  'containment',
  'cable',
  'board',
  'terminations',
  'ip',
  'isolation',
  'dead',
  'live',
  'rcd',
  'neutral',
  'bonding',
  'locations',
  'paperwork',
  'fault',
] as const
export type Topic = (typeof TOPICS)[number]

/** When an assessor stands at the bay. */
export const MOMENTS = ['design', 'terminations', 'isolation', 'dead', 'energise', 'live', 'fault'] as const
export type Moment = (typeof MOMENTS)[number]

/** What suits a moment, the nearest first; everything else may be asked at any time. */
export const TOPICS_BY_MOMENT: Readonly<Record<Moment, readonly Topic[]>> = {
  design: ['cable', 'containment', 'board', 'regulations', 'principles', 'supply'],
  terminations: ['terminations', 'ip', 'board', 'cable', 'bonding', 'containment'],
  isolation: ['isolation', 'neutral', 'supply'],
  dead: ['dead', 'bonding', 'neutral', 'principles'],
  energise: ['isolation', 'rcd', 'paperwork', 'live'],
  live: ['live', 'rcd', 'bonding', 'supply'],
  fault: ['fault', 'neutral', 'rcd', 'dead'],
}
