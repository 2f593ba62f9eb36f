/**
 * Puts things side by side into as few bands as the room allows, in their order; one that is wider than the room
 * stands alone. Widths and room in the same unit.
 */
export function bandsOf<T>(things: readonly T[], widthOf: (thing: T) => number, room: number): T[][] {
  const bands: T[][] = []
  let left = 0
  for (const thing of things) {
    const width = widthOf(thing)
    const band = bands.at(-1)
    if (band && width <= left) band.push(thing)
    else {
      bands.push([thing])
      left = room
    }
    left -= width
  }
  return bands
}
