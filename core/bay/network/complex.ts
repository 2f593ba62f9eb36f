/** A phasor or an impedance: real and imaginary part, effective values. */
export interface Complex {
  readonly re: number
  readonly im: number
}

export const ZERO: Complex = { re: 0, im: 0 }
export const real = (re: number): Complex => ({ re, im: 0 })
export const add = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
export const subtract = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im })
export const multiply = (a: Complex, b: Complex): Complex => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
})
export const magnitude = ({ re, im }: Complex): number => Math.hypot(re, im)

/** a ÷ b; b must not be zero. */
export function divide(a: Complex, b: Complex): Complex {
  const square = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / square, im: (a.im * b.re - a.re * b.im) / square }
}

export const sum = (all: readonly Complex[]): Complex => all.reduce(add, ZERO)

/** A phasor of this effective value at this angle in degrees. */
export const phasor = (value: number, degrees: number): Complex => ({
  re: value * Math.cos((degrees * Math.PI) / 180),
  im: value * Math.sin((degrees * Math.PI) / 180),
})

/** Angle in degrees, −180 to 180. */
export const angleDegrees = ({ re, im }: Complex): number => (Math.atan2(im, re) * 180) / Math.PI
