import type { IpDegree } from '../../regulations/ip'
import type { Plan, PlanPoint } from './plan'
import { roomAt } from './route'
import { zoneAt } from './zones'

/** What a place does to equipment, as the checklist of a survey has it; left out where it is not known. */
export interface Conditions {
  readonly moisture?: string | undefined
  readonly dust?: string | undefined
}
/** The least degree of protection, and what asks for each figure of it. */
export interface LeastIp {
  readonly ip: IpDegree
  readonly because: readonly ('zone' | 'outdoors' | 'jets' | 'splashes' | 'damp' | 'dust' | 'fingers')[]
}

/**
 * Against solids, first figure of BS EN 60529: fingers everywhere (BS 7671 416.2.1), fine dust IP5X, combustible dust
 * IP6X. From memory.
 */
const SOLIDS: Readonly<Record<string, number>> = { some: 4, heavy: 5, combustible: 6 }
/** Against water, second figure: BS 7671 701.512.2 for zones; spray IPX1, splashes IPX4, jets IPX5. From memory. */
const WATER: Readonly<Record<string, number>> = { damp: 1, splashes: 4, jets: 5 }
const FINGERS = 2
const FINE_DUST = 5
const WET: Readonly<Record<string, LeastIp['because'][number]>> = { jets: 'jets', damp: 'damp' }
const ZONE_WATER: Readonly<Record<string, number>> = { 0: 7, 1: 4, 2: 4 }

/** The least IP that a point asks for where it stands. */
export function leastIp(plan: Plan, { moisture = '', dust = '' }: Conditions, point: PlanPoint): LeastIp {
  const zone = String(zoneAt(plan, point, point.heightM) ?? 'outside')
  const room = roomAt(plan, point)?.kind
  const ofRoom = room === 'dusty' ? FINE_DUST : FINGERS
  const solids = SOLIDS[dust] ?? ofRoom
  const water: readonly (readonly [LeastIp['because'][number], number])[] = [
    ['zone', ZONE_WATER[zone] ?? 0],
    ['outdoors', room === 'outdoors' ? 4 : 0],
    [WET[moisture] ?? 'splashes', WATER[moisture] ?? 0],
  ]
  const most = Math.max(...water.map(([, figure]) => figure))
  const wet = water.find(([, figure]) => figure === most && figure > 0)
  return {
    ip: `IP${solids}${most > 0 ? most : 'X'}` as IpDegree,
    because: [solids > FINGERS ? 'dust' : 'fingers', ...(wet ? [wet[0]] : [])],
  }
}
