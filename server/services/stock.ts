import type { DrumBody, DrumMoveBody, OrderPointBody } from '#schemas/planning-requests'
import type { StockView } from '#schemas/planning-views'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** What is on the drums, by cable, and what came and went last. */
export function showStock({ repos }: Context, actor: Person): StockView {
  allow(actor, 'stores.see')
  const used = repos.stock.used()
  const points = repos.stock.orderPoints()
  const drums = repos.stock.drums()
  const cables = [...new Set([...drums.map(({ cable }) => cable), ...points.keys()])].sort()
  return {
    lines: cables.map((cable) => {
      const own = drums.filter((drum) => drum.cable === cable)
      const went = used.get(cable)
      return {
        cable,
        leftM: own.reduce((sum, { leftM }) => sum + leftM, 0),
        orderAtM: points.get(cable) ?? 0,
        drums: own.filter(({ leftM }) => leftM > 0),
        usedM: went?.usedM ?? 0,
        wasteM: went?.wasteM ?? 0,
        costPence: went?.costPence ?? 0,
      }
    }),
    moves: repos.stock.moves(),
  }
}

/** A new drum, with what is on it. */
export function addDrum(
  context: Context,
  actor: Person,
  { cable, label, metres, costPence }: DrumBody,
): StockView {
  allow(actor, 'stock.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const id = repos.stock.insert({ cable, label: label.trim(), costPence }, actor.id, now)
    repos.stock.move(id, { kind: 'bought', metres, sessionId: null, note: '' }, actor.id, now)
    return showStock(context, actor)
  })
}

/** Metres issued, returned or wasted, or what a count found: what is on the drum is never below nothing. */
export function moveDrum(context: Context, actor: Person, id: number, body: DrumMoveBody): StockView {
  allow(actor, 'stock.keep')
  const { repos, now } = context
  return repos.transaction(() => {
    const { leftM } = found(repos.stock.drums().find((drum) => drum.id === id))
    const { kind, metres, sessionId, note } = body
    if (kind !== 'counted' && !(metres > 0))
      throw new Problem('bodyNotRight', { fields: [{ field: 'metres', message: 'must be more than 0.' }] })
    if (sessionId !== null) found(repos.planning.byId(sessionId))
    const added = { issued: -metres, waste: -metres, returned: metres, counted: metres - leftM }[kind]
    if (leftM + added < -0.005) throw new Problem(leftM > 0 ? 'drumShort' : 'drumGone')
    repos.stock.move(id, { kind, metres: added, sessionId, note: note.trim() }, actor.id, now)
    return showStock(context, actor)
  })
}

export function setOrderPoint(context: Context, actor: Person, { cable, metres }: OrderPointBody): StockView {
  allow(actor, 'stock.keep')
  context.repos.stock.setOrderPoint(cable, metres)
  return showStock(context, actor)
}
