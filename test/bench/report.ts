/* One line of the bench, and how many limits were missed. */
let missed = 0
export const missedLimits = (): number => missed

/** A figure with its limit, if it has one. */
export function report(name: string, value: number, unit: string, limit?: number): void {
  const isMissed = limit !== undefined && value > limit
  if (isMissed) missed += 1
  console.log(
    `${name.padEnd(58)} ${value.toFixed(unit === 'ms' ? 3 : 2).padStart(10)} ` +
      `${unit}${limit === undefined ? '' : `   limit ${limit} ${unit}  ${isMissed ? 'MISSED' : 'kept'}`}`,
  )
}
