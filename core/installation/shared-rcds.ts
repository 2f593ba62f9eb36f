import { hasRcd } from '../regulations/devices'
import type { Board, Circuit } from './installation'

const MOST_SECTIONS = 2

/** RCDs that a board shares out among its circuits, so that one fault leaves half. */
export const sectionsFor = (sharing: number): number => Math.min(MOST_SECTIONS, sharing)
/** The section of a circuit, from 0, by its place among those that share; they take turns. */
export const turnOf = (place: number, sections: number): number => place % sections
/** Whether a circuit stands behind an RCD of its board: it needs one and does not bring its own. */
export const sharesRcd = ({ phases }: Pick<Board, 'phases'>, { device, residualA }: Circuit): boolean =>
  phases === 1 && residualA !== null && !hasRcd(device.family)
