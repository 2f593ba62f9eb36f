import type { Site } from '#core/isolation/model/rule'

/** What each constraint asks for, and why. */
export const RULE_TEXT: Readonly<
  Record<string, { readonly name: string; readonly why: string; readonly next: string }>
> = {
  asked: {
    name: 'Asked the duty holder',
    why: 'They know what must not go off and what the chart gets wrong.',
    next: 'Ask what it is, where it is and what else it feeds.',
  },
  permit: {
    name: 'Permit to work obtained',
    why: 'This site allows no isolation without one: somebody may depend on the supply.',
    next: 'Get the permit signed by both sides before anything is switched.',
  },
  dependantsAsked: {
    name: 'Asked who depends on the supply',
    why: 'A freezer, a lift, a charger or somebody’s breathing may hang on it.',
    next: 'Ask who depends on it and what must stay on.',
  },
  lookedOver: {
    name: 'Indicator looked over before use',
    why: 'Cracked leads or long bare tips hurt before anything is proved, and a proof out of date is no proof.',
    next: 'Look at leads, tips and fuse, GS 38, and at the date of its proof.',
  },
  soundIndicator: {
    name: 'A defective indicator put aside',
    why: 'What was found damaged or out of date proves nothing and may hurt.',
    next: 'Put it aside and take another one.',
  },
  realIsolator: {
    name: 'A device that isolates',
    why: 'A functional switch or a contactor may close by itself, and its gap is not made to isolate.',
    next: 'Open an isolator, breaker or fuse that is marked for isolation, and lock that.',
  },
  bothPoles: {
    name: 'Both poles opened where it is called for',
    why: 'With TT and IT the neutral may be at a voltage: opening the line alone leaves it connected.',
    next: 'Open a two-pole device, or disconnect the neutral as well.',
  },
  secondSource: {
    name: 'Every other source isolated',
    why: 'A battery, an array, a generator or another phase feeds the point from behind.',
    next: 'Find each other source, isolate it and lock it off.',
  },
  everyOwnLock: {
    name: 'One padlock for everybody who works there',
    why: 'Only their own lock keeps the supply off for each of them.',
    next: 'Fit a hasp, or use the key safe, and have everybody hang their own padlock.',
  },
  noticeContent: {
    name: 'Name, date and reason on the notice',
    why: 'It must say whom to ask before anybody thinks of switching on.',
    next: 'Write name, date and reason on the caution notice.',
  },
  lockedWhileAway: {
    name: 'Locked off when the bay was left',
    why: 'Whoever passes can switch an unlocked device on.',
    next: 'Lock off before you go.',
  },
  provedOnReturn: {
    name: 'Proved dead again after coming back',
    why: 'Nobody saw what happened meanwhile.',
    next: 'Prove, test and prove again before you go on.',
  },
  provedOnHandOver: {
    name: 'Own lock and own proof of whoever took over',
    why: 'Nobody works on another person’s word that it is dead.',
    next: 'Hang your own lock; prove, test and prove again.',
  },
  informed: {
    name: 'People informed before their supply went off',
    why: 'Somebody may be on a ladder under the lamp, or at a machine.',
    next: 'Say what goes off, when, and for how long.',
  },
  identified: {
    name: 'Circuit identified before switching',
    why: 'A breaker picked by guesswork may feed somebody else.',
    next: 'Check the circuit chart against what you were told, then switch.',
  },
  indicatorFits: {
    name: 'The right indicator for this learner',
    why: 'A multimeter can be on the wrong range, and a non-contact detector misses a disconnected neutral: neither is proof.',
    next: 'Take the approved voltage indicator (two-pole); in the first weeks the plug-in indicator.',
  },
  checkedLive: {
    name: 'Point of work seen live first',
    why: 'Only then does a later “dead” mean that your switch did it.',
    next: 'Test the point before you switch off.',
  },
  locked: {
    name: 'Locked off before testing',
    why: 'Somebody may switch it on again while you have your back to it.',
    next: 'Fit the lock-off device and your own padlock first.',
  },
  lockedRight: {
    name: 'The device that was switched off is the one that is locked',
    why: 'A lock on its neighbour keeps nobody from switching yours on again.',
    next: 'Put the lock on the device that you switched off, then test again.',
  },
  lockedAtOnce: {
    name: 'Locked before walking away',
    why: 'Between switching and locking the circuit is anybody’s.',
    next: 'Lock while you still stand at the board.',
  },
  keyKept: {
    name: 'Key kept on the person',
    why: 'A key in the lock is no lock.',
    next: 'Put the only key in your pocket.',
  },
  noticed: {
    name: 'Caution notice posted at the board',
    why: 'It tells others who, since when and why.',
    next: 'Post the caution notice before you leave the board.',
  },
  neutralMinded: {
    name: 'Neutral considered',
    why: 'A single-pole breaker leaves the neutral connected to every other circuit.',
    next: 'Say so, or disconnect it, as your centre asks.',
  },
  provedBefore: {
    name: 'Indicator proved before the dead test',
    why: 'One that does not work shows nothing, and nothing looks like dead.',
    next: 'Prove it on a known live source or a proving unit.',
  },
  provedFirst: {
    name: 'First test made with an indicator that had been proved',
    why: 'It was put right: proved, tested and proved again before hands went in.',
    next: 'Prove the indicator before the first test already.',
  },
  oneIndicator: {
    name: 'One indicator for proof, test and proof',
    why: 'What another indicator shows proves nothing about this one.',
    next: 'Prove, test and prove again with the same indicator.',
  },
  proofElsewhere: {
    name: 'Indicator proved on another source',
    why: 'The circuit being isolated cannot prove the indicator after it is off.',
    next: 'Use another live source, or the proving unit.',
  },
  deadAtPoint: {
    name: 'Dead test at the point of work',
    why: 'The breaker that you switched may feed something else.',
    next: 'Go back to the point and test there, with an indicator that can prove it.',
  },
  everyPair: {
    name: 'Every pair of conductors tested',
    why: 'One pair alone misses a live neutral, an open earth, another phase.',
    next: 'Line–neutral, line–earth, neutral–earth; with three phases all ten.',
  },
  morePairsThanOne: {
    name: 'Tested against earth as well',
    why: 'Between line and neutral alone a borrowed neutral or a second supply does not show.',
    next: 'Test line–earth and neutral–earth too, then prove the indicator again.',
  },
  provedAfter: {
    name: 'Indicator proved again afterwards',
    why: 'It may have failed between. Live, dead, live: only both proofs make “dead” count.',
    next: 'Prove it again on the same source before hands go in.',
  },
  stoppedAtFailedProof: {
    name: 'Stopped when the second proof failed',
    why: 'The dead test before it means nothing.',
    next: 'Take another indicator and begin the proof again.',
  },
  handsAfterDead: {
    name: 'Hands in only after it was proved dead',
    why: 'This is the step that kills.',
    next: 'Live, dead, live at the point of work, then open.',
  },
  notOnLive: {
    name: 'Live treated as live',
    why: 'A test that shows voltage means the wrong circuit, or a second one.',
    next: 'Stand back, make it safe to leave, identify again, start again.',
  },
  retested: {
    name: 'Tested again at the terminals',
    why: 'Two circuits may share the box, and a neutral may be borrowed.',
    next: 'After opening, test at the terminals before touching them.',
  },
  separatedTested: {
    name: 'Each disconnected conductor tested',
    why: 'A disconnected neutral can be live through another circuit’s lamp.',
    next: 'After disconnecting them, test each one.',
  },
  taped: {
    name: 'Disconnected neutral and cpc kept apart',
    why: 'Touching, they can trip an RCD that others depend on.',
    next: 'Put tape or a connector over each.',
  },
  ownLockOnly: {
    name: 'Only your own padlock removed',
    why: 'The other person’s padlock means the other person’s hands.',
    next: 'Wait for them, or call your supervisor.',
  },
  covered: {
    name: 'Covers on before energising',
    why: 'Nobody must be able to touch what becomes live.',
    next: 'Close everything first.',
  },
  toolsClear: {
    name: 'Tools cleared away',
    why: 'A forgotten screwdriver is a short circuit.',
    next: 'Count your tools.',
  },
  informedAgain: {
    name: 'People informed before it came on',
    why: 'A machine may start.',
    next: 'Say that it comes on now.',
  },
  othersPutBack: {
    name: 'What was locked by mistake is free again',
    why: 'Somebody else’s supply is off, with your lock and notice on it.',
    next: 'Remove your lock and notice there and tell the people; their supply comes back.',
  },
  noticeOff: {
    name: 'Caution notice removed',
    why: 'A notice that stays is not believed next time.',
    next: 'Remove it with the padlock.',
  },
  functionChecked: {
    name: 'Function and polarity checked',
    why: 'What you hand back should work, the right way round.',
    next: 'Test after switching on.',
  },
  permitBack: {
    name: 'Permit handed back',
    why: 'Until then the site believes that you are at work.',
    next: 'Both sign that the work is over.',
  },
  switch: {
    name: 'Time to switch off',
    why: 'Everything before it is done.',
    next: 'Switch off the device that you identified, and stay at the board.',
  },
  stopped: {
    name: 'Stopped by the assessor',
    why: 'The assessor had to step in.',
    next: 'Talk it through, rehearse, and repeat it.',
  },
}

/** What to do next about a constraint; the indicator is the one for the learner's stage. */
export function nextWords(code: string, { level, policy }: Pick<Site, 'level' | 'policy'>): string {
  if (code !== 'indicatorFits') return RULE_TEXT[code]?.next ?? ''
  return level === 'first-weeks' && policy.firstWeeks === 'plug-in'
    ? 'Take the plug-in indicator.'
    : 'Take the approved voltage indicator (two-pole).'
}
