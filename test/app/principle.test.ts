/* A bench shows nothing before a figure has been given, and goes off again as soon as it is set otherwise. */
import { expect, it } from 'vitest'
import { benchOf } from '#core/principles/benches'
import { usePrinciple } from '../../app/composables/usePrinciple'

it('is switched on by a figure that can be read, in any unit, and by nothing else', () => {
  const one = usePrinciple(benchOf('rheostat'))
  one.switchOn()
  expect(one.isOn.value).toBe(false)
  one.predict('one ampere')
  one.switchOn()
  expect([one.isOn.value, one.verdict.value]).toEqual([false, null])
  one.predict('1000 mA')
  one.switchOn()
  expect([one.isOn.value, one.verdict.value]).toEqual([true, { is: 'right' }])
})

it('goes off and forgets the figure when a knob is turned; another figure asks for another look', () => {
  const one = usePrinciple(benchOf('price'))
  one.predict('£90')
  one.switchOn()
  expect(one.verdict.value).toEqual({ is: 'double' })
  one.predict('45')
  expect(one.verdict.value).toBeNull()
  one.switchOn()
  one.set('hours', 4)
  expect([one.isOn.value, one.typed.value, one.verdict.value]).toEqual([false, '', null])
  expect(one.figures.value.cost).toBe(90)
})
