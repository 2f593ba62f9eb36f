import { energiseInOrder } from '../../bay/behaviour/energise'
import { simulate } from '../../bay/behaviour/simulate'
import { deadState } from '../../bay/behaviour/state'
import type { Rig } from '../../bay/model/rig'
import { indexParts } from '../../bay/model/terminals'
import { happeningSentence } from '../../texts/happenings'

const SETTLE_S = 60

/** What somebody notices at a bay that has been energised in order: what opened, what stays dark. Empty where nothing shows. */
export function symptomsOf(built: Rig, meant: Rig): string[] {
  const parts = indexParts(meant)
  const run = (rig: Rig) =>
    simulate(rig, deadState(rig), energiseInOrder(rig), { untilS: SETTLE_S }).happenings
  const [own, sound] = [run(built), run(meant)]
  const lit = (happenings: typeof own) => {
    const on = new Set<string>()
    for (const one of happenings) {
      if (one.kind === 'lit') on.add(one.part)
      else if (one.kind === 'dark') on.delete(one.part)
    }
    return on
  }
  const [works, should] = [lit(own), lit(sound)]
  const dark = [...should].filter((part) => !works.has(part)).map((part) => parts.get(part)?.name ?? part)
  const trips = own
    .filter((one) => one.kind === 'tripped' || one.kind === 'overvoltage' || one.kind === 'failedToBreak')
    .map((one) => happeningSentence(one, parts))
  return [...trips, ...(dark.length ? [`Does not work: ${dark.join(', ')}.`] : [])]
}
