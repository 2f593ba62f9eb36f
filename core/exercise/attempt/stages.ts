/** Where an apprentice's attempt stands. Each stage names what is being worked on or waited for. */
export const STAGES = ['design', 'dead', 'permission', 'live', 'handedIn', 'decided', 'released'] as const
export type Stage = (typeof STAGES)[number]

export type Act =
  | 'handInDesign'
  | 'handInAlone'
  | 'askPermission'
  | 'permit'
  | 'refuse'
  | 'withdraw'
  | 'expire'
  | 'handIn'
  | 'decide'
  | 'release'
  | 'uphold'

const TRANSITIONS: Readonly<Record<Act, { readonly from: readonly Stage[]; readonly to: Stage }>> = {
  handInDesign: { from: ['design'], to: 'dead' },
  // Where nothing is wired, the design is all there is to mark.
  handInAlone: { from: ['design'], to: 'handedIn' },
  askPermission: { from: ['dead'], to: 'permission' },
  permit: { from: ['permission'], to: 'live' },
  // A refusal sends the sheet back so that what is wrong can be put right.
  refuse: { from: ['permission'], to: 'dead' },
  // Stopped, or run out: what was measured stays, nothing more is entered before somebody permits again.
  withdraw: { from: ['live'], to: 'dead' },
  expire: { from: ['live'], to: 'dead' },
  handIn: { from: ['live'], to: 'handedIn' },
  // Deciding again before release replaces the earlier decision without removing it.
  decide: { from: ['handedIn', 'decided'], to: 'decided' },
  release: { from: ['decided'], to: 'released' },
  // An appeal that is upheld sends the sheet back to marking; the decision that it was about stays readable.
  uphold: { from: ['released'], to: 'handedIn' },
}

/** Whether the work stands at a bay: somebody can be asked over to it. */
export const hasPlace = (stage: Stage): boolean => ['design', 'dead', 'permission', 'live'].includes(stage)

/** The stage after an act, or undefined when the act has no place here. */
export function after(stage: Stage, act: Act): Stage | undefined {
  const transition = TRANSITIONS[act]
  return transition.from.includes(stage) ? transition.to : undefined
}

/** Boxes that may be written at a stage; everything else is locked. */
export function writable(stage: Stage): 'design' | 'dead' | 'live' | 'nothing' {
  return stage === 'design' || stage === 'dead' || stage === 'live' ? stage : 'nothing'
}

export const isBefore = (stage: Stage, other: Stage): boolean => STAGES.indexOf(stage) < STAGES.indexOf(other)
