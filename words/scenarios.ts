import type { ScenarioCode } from '#core/isolation/trainer/scenarios/scenarios'
import type { Topic } from '#core/isolation/trainer/world'

/** What people say and what is told of a rehearsal's place. */
export interface Script {
  readonly title: string
  readonly job: string
  readonly answers: Readonly<Record<Topic, string>>
  /** Shouted when somebody turns a switch. */
  readonly shout?: string
  /** Said in the debrief, never before. */
  readonly secret: string
}

const SOCKET_JOB = 'A socket in the workshop has a cracked plate. Please replace it.'

const answers = (parts: Partial<Script['answers']> = {}): Script['answers'] => ({
  what: 'The one with the cracked plate. I marked it with tape.',
  where: 'I never touch that board. It should be written on it.',
  else: 'Nothing that I know of. Go ahead.',
  permit: 'No, we have no permits here. Just tell me.',
  ...parts,
})

export const SCRIPTS: Readonly<Record<ScenarioCode, Script>> = {
  bench: {
    title: 'A cracked socket at the bench',
    job: SOCKET_JOB,
    answers: answers({ where: 'The label says bench sockets; we had it tested last month.' }),
    secret: 'Everything was as written.',
  },
  store: {
    title: 'A socket in the store',
    job: 'The socket in the store is loose. Please put it right.',
    answers: answers({
      where: 'When the kettle at the bench trips, it is the first one. So mine should be the other.',
    }),
    secret:
      'Two ways are called “Sockets”. Only the person who works there knew which is which; ' +
      'the dead test shows the rest.',
  },
  'bay-end': {
    title: 'The socket at the end of the bay',
    job: SOCKET_JOB,
    answers: answers({ else: 'My charger is on the same ones, I think. I unplugged it.' }),
    secret: 'The labels of ways 1 and 3 were swapped.',
  },
  'stores-desk': {
    title: 'The socket at the stores desk',
    job: 'The socket at my desk in the stores sparks. Please have a look.',
    answers: answers({ where: 'It says so on the board.' }),
    secret:
      'The name stood at the wrong way: what is written there feeds the pit lighting, and the real one had no label.',
  },
  'joint-box': {
    title: 'A joint box behind the bench',
    job: 'The lid of the joint box behind the bench is broken. Please make the joints anew.',
    answers: answers({ where: 'It belongs to the bench sockets.' }),
    secret: 'The line of the store sockets passes through the same box: dead outside, live at one joint.',
  },
  'lamp-check': {
    title: 'A socket beside the wash basin',
    job: SOCKET_JOB,
    answers: answers(),
    secret:
      'The battery of the indicator died between the first test and the dead test. Only the second proof shows it.',
  },
  'busy-shop': {
    title: 'A socket on a busy morning',
    job: SOCKET_JOB,
    answers: answers({ else: 'Everybody is at work today. They will wonder if something goes off.' }),
    secret: 'Somebody switches on again whatever is off and not locked.',
  },
  'pit-lamp': {
    title: 'The lamp in the pit',
    job: 'The lampholder in the pit is burnt. Please replace it.',
    answers: answers(),
    shout: 'Somebody goes up the stair and turns the light on.',
    secret:
      'The stair lamp returns over the neutral of the pit lighting. Dead at first; the disconnected ' +
      'neutral is live as soon as the stair light is on.',
  },
  'store-heater': {
    title: 'A socket while the others work',
    job: 'The socket at the bench is worn out. The heater in the store must go on.',
    answers: answers({ else: 'The heater in the store is on the same RCD. It must stay on.' }),
    secret:
      'Parted neutral and earth touch: load current of the others goes by earth, and the RCD trips for all of them.',
  },
  'wheel-lathe': {
    title: 'The isolator of the wheel lathe',
    job: 'The isolating switch of the wheel lathe is stiff. Please replace it.',
    answers: answers({ what: 'The rotary switch at the lathe.', where: 'The breaker called wheel lathe.' }),
    secret: 'The triple-pole breaker had been replaced by three singles: switching one leaves two lines.',
  },
  'whole-board': {
    title: 'Work behind the main switch',
    job: 'Everything may go off. Please isolate the whole board for the socket at the bench.',
    answers: answers({
      else: 'All of it may go off until noon.',
      where: 'Use the main switch, everybody knows.',
    }),
    secret: 'One pole of the main switch is welded: its lever is down and the line is still there.',
  },
  'charger-room': {
    title: 'The charger room',
    job: 'A socket in the charger room is loose. The fans must not stop.',
    answers: answers({
      permit: 'Yes. Nothing is switched in the charger room without a permit.',
      else: 'The fans hang on the bench sockets. They must stay on.',
      where: 'Third from the left, I was there when it was put in.',
    }),
    secret: 'A site with permits: the supply of the fans must stay on.',
  },
  'backup-battery': {
    title: 'A socket that never goes off',
    job: 'The socket of the stores computer is loose. Please put it right.',
    answers: answers({
      what: 'The one behind the computer. It stayed on all through the last power cut.',
      where: 'Third from the left.',
      else: 'The computer is saved and can go off. Somebody put in a battery for it last winter.',
    }),
    secret:
      'A battery takes over half a second after the breaker is off. Its isolator stands beside the board: ' +
      'both must be isolated and locked off.',
  },
  'two-trades': {
    title: 'A socket, and the fitter next to it',
    job: 'The socket in the store is loose. The fitter works on the same circuit.',
    answers: answers({ else: 'The fitter has his own lock on it.' }),
    secret: 'A second padlock hung on the hasp: its owner was still at work.',
  },
  'two-hands': {
    title: 'A socket, and a mate to help',
    job:
      'The socket at the bench has a cracked box. My mate will hold it while you work; you ' +
      'both have your hands in it.',
    answers: answers({ else: 'Nothing else. But there are two of you at it.' }),
    secret:
      'Two people had their hands in it: a hasp takes a padlock from each, so that neither ' +
      'can energise it over the other.',
  },
}

/** Of a stored rehearsal whose scenario is gone: its code. */
export const scenarioTitle = (code: string): string => scriptOf(code)?.title ?? code

export const scriptOf = (code: string): Script | undefined =>
  Object.hasOwn(SCRIPTS, code) ? SCRIPTS[code as ScenarioCode] : undefined
