import { drawSections } from './draw'
import type { ContainmentRun } from './containment-run'

/** A run as a design sees it: its whole length, and the worst way between two draw points. */
export interface Route {
  readonly lengthM: number
  readonly betweenBoxesM: number
  readonly bends: number
}

/** Sets of a detour count by their angle: two of 45° pull like one right angle. */
export function routeOf(run: ContainmentRun): Route {
  const sections = drawSections(run)
  const tenth = (mm: number) => Math.round(mm / 100) / 10
  return {
    lengthM: tenth(sections.reduce((sum, { lengthMm }) => sum + lengthMm, 0)),
    betweenBoxesM: tenth(Math.max(...sections.map(({ lengthMm }) => lengthMm))),
    bends: Math.ceil(Math.max(...sections.map(({ rightAngles }) => rightAngles)) - 0.01),
  }
}
