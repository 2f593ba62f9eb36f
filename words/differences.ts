import type { Difference, DifferenceCode } from '#core/bay/compare/difference'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'

type Words = { readonly says: string; readonly means: string }
type Told = (difference: Difference, at: (i: number) => string) => Words

const CONDUCTOR = {
  line: 'Line',
  neutral: 'Neutral',
  earth: 'Protective',
  switched: 'Switched line',
} as const

const MISSING_MEANS = {
  line: 'Nothing beyond works.',
  neutral:
    'Nothing beyond works, and its neutral terminals are at line voltage through whatever is switched on.',
  earth: 'A fault beyond puts the case at line voltage and trips nothing but, perhaps, the RCD.',
  switched: 'The lamp does not light.',
} as const

const TOLD: Readonly<Record<DifferenceCode, Told>> = {
  missing: ({ role }, at) => ({
    says: `${CONDUCTOR[role!]} conductor between ${at(0)} and ${at(1)} is missing.`,
    means: MISSING_MEANS[role!],
  }),
  unfinished: ({ params }) => ({
    says: `${params.circuit} is not finished: none of its conductors is there yet.`,
    means: 'Nothing of it is judged before it is wired.',
  }),
  extra: (_, at) => ({
    says: `A conductor too many joins ${at(0)} and ${at(1)}.`,
    means: 'It makes a second path; readings around it no longer fit.',
  }),
  bridge: (_, at) => ({
    says: `${at(0)} and ${at(1)} are joined, which should be apart.`,
    means: 'A short circuit, or two circuits that can no longer be isolated from each other.',
  }),
  otherTerminal: (_, at) => ({
    says: `A conductor is at ${at(0)}; it belongs to ${at(1)}.`,
    means: 'What it feeds is supplied differently from what the chart says.',
  }),
  neutralFromOther: (_, at) => ({
    says: `The neutral at ${at(1)} comes from ${at(0)}, which is another circuit.`,
    means:
      'Every point works. With one of the two isolated its neutral still carries the other’s current, and a disconnected end is at line voltage; with RCDs each sees current that is not its own.',
  }),
  earthFromOther: (_, at) => ({
    says: `The protective conductor at ${at(1)} comes from ${at(0)}, which is another circuit.`,
    means: 'Work on the one circuit takes the earth from the other, and nothing shows it.',
  }),
  otherNeutralBar: (_, at) => ({
    says: `A neutral is at ${at(0)}; it belongs to ${at(1)}.`,
    means:
      'With two RCDs, each sees the other’s current: both trip when the load is switched on. With one, the circuit cannot be isolated by itself.',
  }),
  neutralOnEarthBar: (_, at) => ({
    says: `A neutral is on the earth bar, at ${at(0)}.`,
    means: 'Load current flows in the protective conductors; an RCD trips as soon as there is load.',
  }),
  earthOnNeutralBar: (_, at) => ({
    says: `A protective conductor is on a neutral bar, at ${at(0)}.`,
    means: 'Cases carry load current, and are at line voltage when the neutral is lost.',
  }),
  lineNeutralSwapped: (_, at) => ({
    says: `Polarity is reversed (line and neutral) at ${at(0)}.`,
    means: 'The load works. Its switch and fuse break the neutral, and it stays live when it is off.',
  }),
  neutralEarthSwapped: (_, at) => ({
    says: `Neutral and cpc are interchanged at ${at(0)}.`,
    means: 'The load works, its current returns through the earth, and the RCD trips.',
  }),
  lineEarthSwapped: (_, at) => ({
    says: `Line and cpc are interchanged at ${at(0)}.`,
    means: 'The case is live.',
  }),
  otherWay: (_, at) => ({
    says: `A line is at ${at(0)}; it belongs to ${at(1)}.`,
    means:
      'Two circuits are on one device: the chart is wrong, isolation by it is wrong, and the device carries both loads.',
  }),
  otherLine: (_, at) => ({
    says: `A line is at ${at(0)}; it belongs to ${at(1)}.`,
    means: 'The load is on another phase: rotation and balance change, and the chart is wrong.',
  }),
  otherOrder: ({ params }) => ({
    says: `The points are joined in another order (${params.count} conductors).`,
    means: 'Every point has what it needs. Readings along the run come in another order.',
  }),
  thinner: ({ params }, at) => ({
    says: `The conductor between ${at(0)} and ${at(1)} has ${params.is} mm² in place of ${params.want} mm².`,
    means: 'It may overheat before the device opens, and the resistance is higher.',
  }),
  thicker: ({ params }, at) => ({
    says: `The conductor between ${at(0)} and ${at(1)} has ${params.is} mm² in place of ${params.want} mm².`,
    means: 'Sound, and more than was asked for.',
  }),
  colour: ({ params }, at) => ({
    says: `The conductor between ${at(0)} and ${at(1)} is ${params.is} and should be ${params.want}.`,
    means: 'Whoever opens this next believes the colour.',
  }),
  outOfOrder: ({ params }) => ({
    says: `Conductors on ${params.bar} are not in the order of their ways.`,
    means: 'Untidy, not unsafe: the next person looks longer.',
  }),
  deviceReversed: (_, at) => ({
    says: `${at(0).split(' · ')[0]} is fed from the end marked load.`,
    means: 'It may trip and not break the current.',
  }),
  blankMissing: ({ params }) => ({
    says: `Way ${params.way} of ${params.board} is open: no blank.`,
    means: 'A finger reaches the busbar.',
  }),
  labelMissing: ({ params }) => ({
    says: `Way ${params.way} of ${params.board} has no label (${params.text}).`,
    means: 'Whoever isolates next has to guess.',
  }),
  labelOther: ({ params }) => ({
    says: `Way ${params.way} of ${params.board} is labelled wrongly.`,
    means: 'Whoever isolates next switches off the wrong circuit.',
  }),
  thingChanged: ({ params }, at) => ({
    says: `${at(0)} has ${params.what}${params.want ? ` in place of ${params.want}` : ''}.`,
    means: 'It does not protect what it was chosen for.',
  }),
}

/** A difference in words: what is so, and what follows from it. */
export function differenceWords(difference: Difference, parts: PartIndex): Words {
  return TOLD[difference.code](difference, (i) => {
    const ref = difference.at[i] ?? difference.at[0]!
    return ref.includes('.') ? terminalWords(parts, ref) : (parts.get(ref)?.name ?? ref)
  })
}
