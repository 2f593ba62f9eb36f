import type { Stage } from '#core/exercise/attempt/stages'

/** How a stage is called on the apprentice's screens (`mine`) and on the staff's. */
export const STAGE_WORDS: Readonly<Record<Stage, { readonly mine: string; readonly theirs: string }>> = {
  design: { mine: 'designing', theirs: 'Design' },
  dead: { mine: 'dead tests', theirs: 'Dead tests' },
  permission: { mine: 'waiting for permission', theirs: 'Asks to energise' },
  live: { mine: 'live tests', theirs: 'Live tests' },
  handedIn: { mine: 'handed in', theirs: 'To be marked' },
  decided: { mine: 'handed in', theirs: 'Decided' },
  released: { mine: 'feedback is here', theirs: 'Released' },
}
