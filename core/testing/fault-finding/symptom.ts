import { energiseInOrder } from '../../bay/behaviour/energise'
import type { Happening } from '../../bay/behaviour/happenings'
import { simulate } from '../../bay/behaviour/simulate'
import { deadState } from '../../bay/behaviour/state'
import type { Rig } from '../../bay/model/rig'

const SETTLE_S = 60

/** What somebody notices: a device that opens or is overstressed, or points that do not work. */
export type Symptom =
  | { readonly is: 'happening'; readonly happening: Happening }
  | { readonly is: 'dark'; readonly parts: readonly string[] }

/** What is noticed at a bay that has been energised in order. Empty where nothing shows. */
export function symptomsOf(built: Rig, meant: Rig): Symptom[] {
  const happeningsOf = (rig: Rig) =>
    simulate(rig, deadState(rig), energiseInOrder(rig), { untilS: SETTLE_S }).happenings
  const [own, sound] = [happeningsOf(built), happeningsOf(meant)]
  const works = litAtTheEnd(own)
  const dark = [...litAtTheEnd(sound)].filter((part) => !works.has(part))
  const events = own.filter(
    ({ kind }) => kind === 'tripped' || kind === 'overvoltage' || kind === 'failedToBreak',
  )
  return [
    ...events.map((happening): Symptom => ({ is: 'happening', happening })),
    ...(dark.length > 0 ? [{ is: 'dark', parts: dark } as const] : []),
  ]
}

function litAtTheEnd(happenings: readonly Happening[]): ReadonlySet<string> {
  const on = new Set<string>()
  for (const happening of happenings) {
    if (happening.kind === 'lit') on.add(happening.part)
    else if (happening.kind === 'dark') on.delete(happening.part)
  }
  return on
}
