import { DRAWINGS, DRAWING_SIZE, type DrawingCode } from '#core/questions/drawings'

const INK = { line: '#8a4b1c', neutral: '#2a4d9b', earth: '#3a7d44', metal: '#7c8088' } as const

/** The drawing as a picture of its own, for whoever takes a package in. */
export function drawingSvg(code: DrawingCode): string {
  const { width, height } = DRAWING_SIZE
  const shapes = DRAWINGS[code].map(
    ({ x, y, w, h, ink }) =>
      `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${ink ? INK[ink] : 'none'}" stroke="#24336b"/>`,
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}">${shapes.join('')}</svg>`
}
