import type { PracticeBayCode } from '#core/bay/practice/bays'
import type { AimCode } from '#core/testing/fault-finding/aims'

/** What the bays to practise on are called, and what they are for. */
export const PRACTICE_BAY_TEXT: Readonly<
  Record<PracticeBayCode, { readonly title: string; readonly about: string }>
> = {
  split: {
    title: 'Split board: sockets and pit lighting',
    about: 'Two RCDs, each with a neutral bar of its own.',
  },
  heaters: {
    title: 'Split board with heaters',
    about: 'Two socket circuits share one RCD, the lighting has the other.',
  },
  ring: {
    title: 'Ring of six sockets and five lamps',
    about: 'Large enough to look for faults: halving pays.',
  },
  own: { title: 'Board of RCBOs', about: 'Every circuit has its own RCD.' },
  plain: {
    title: 'Two lighting circuits without RCD',
    about: 'An older board, to see what a borrowed neutral does where nothing trips.',
  },
  switches: { title: 'One lamp from three switches', about: 'Two-way, intermediate, two-way.' },
  three: {
    title: 'Three-phase board with unequal lamps',
    about: 'One lamp on each line, and one neutral for all.',
  },
  shared: {
    title: 'Three single-pole breakers on one neutral',
    about:
      'As found in an old board: every lamp works, and it is wrong. With one line off its neutral is not dead.',
  },
  motor: { title: 'Three-phase motor', about: 'A wheel lathe behind its isolator.' },
  bench: {
    title: 'Bare bench board',
    about:
      'An empty enclosure and a box of parts: mount, wire and prove it before any supply. Its breakers are small enough to watch an overload.',
  },
  battery: { title: 'Battery board, direct current', about: 'A two-pole breaker whose poles are marked +.' },
}

/** What is to be learnt by looking for a fault. */
export const AIM_NAME: Readonly<Record<AimCode, string>> = {
  open: 'Broken and loose conductors',
  leak: 'Shorts, damp and damaged insulation',
  swapped: 'Reversed polarity and crossed conductors',
  board: 'Neutrals, bars and devices in the board',
  ring: 'Rings: bridged, open at one end, mixed',
  rcd: 'RCDs that are missing, slow or too sensitive',
}
