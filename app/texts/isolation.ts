import {
  multimeter,
  nonContactDetector,
  plugInTester,
  provingUnit,
  twoPoleIndicator,
} from '#core/drawing/tester'
import type { Shapes } from '#core/drawing/shape'
import type { RunView, ShownView } from '#schemas/isolation-views'

type SeenDevice = RunView['devices'][number]

/** On the strip below a device: the number of its way, or its name short enough for its width. */
export const stripName = (name: string): string =>
  name.split(',')[0]!.replace(/^Way /, '').replace('Main switch', 'Main')

/** What is to be seen of a device, in one line. */
export function deviceSeen({ name, says, isOn, secured }: SeenDevice): string {
  const { isLocked, hasHasp, isLockedByOther, notice } = secured
  return [
    says === null ? name : `${name}: ${says || 'no label'}`,
    isOn ? 'on' : 'off',
    hasHasp && 'a hasp',
    isLocked && 'your padlock',
    isLockedByOther && 'somebody else’s padlock',
    notice === 'written' && 'a notice with name, date and reason',
    notice === 'blank' && 'a notice with nothing written on it',
  ]
    .filter(Boolean)
    .join(', ')
}

const highest = (pairs: ShownView['pairs']): number => Math.max(0, ...pairs.map(({ volt }) => volt))

/** The indicator in hand as it stands while it shows this. */
export function indicatorDrawn({ indicator, pairs, words, isLit }: ShownView): Shapes {
  switch (indicator) {
    case 'two-pole':
      return twoPoleIndicator(highest(pairs))
    case 'multimeter':
      return multimeter(`${highest(pairs)} V`)
    case 'plug-in':
      return plugInTester(words ?? '', isLit)
    case 'non-contact':
      return nonContactDetector(isLit)
  }
}

const IN_BAG: Readonly<Record<string, () => Shapes>> = {
  'take two-pole': () => twoPoleIndicator(0),
  'take multimeter': () => multimeter('0 V'),
  'take plug-in': () => plugInTester('', false),
  'take non-contact': () => nonContactDetector(false),
  'prove proving-unit': () => provingUnit(false),
}
/** What is taken out of the bag, drawn; null for what is no thing. */
export const bagDrawn = (key: string): Shapes | null => IN_BAG[key]?.() ?? null
