/** The editions of BS 7671 that an exercise can be set to, oldest first. */
export const EDITIONS = ['17-A3', '18', '18-A2', '18-A3'] as const
export type Edition = (typeof EDITIONS)[number]

export const EDITION_NAME: Readonly<Record<Edition, string>> = {
  '17-A3': '17th edition with Amendment 3',
  '18': '18th edition',
  '18-A2': '18th edition with Amendment 2',
  '18-A3': '18th edition with Amendment 3',
}

/** How the edition's document is cited. */
export const EDITION_DOCUMENT: Readonly<Record<Edition, string>> = {
  '17-A3': 'BS 7671:2008+A3:2015',
  '18': 'BS 7671:2018',
  '18-A2': 'BS 7671:2018+A2:2022',
  '18-A3': 'BS 7671:2018+A2:2022+A3:2024',
}

/** The edition that new work is designed to. */
export const PRESENT_EDITION: Edition = '18-A3'

export const isFrom = (edition: Edition, first: Edition): boolean =>
  EDITIONS.indexOf(edition) >= EDITIONS.indexOf(first)

/**
 * First day on which the edition was the one to design to; from memory. Before the first of them an older
 * edition held.
 */
export const EDITION_FROM: Readonly<Record<Edition, string>> = {
  '17-A3': '2015-07-01',
  '18': '2019-01-01',
  '18-A2': '2022-09-28',
  '18-A3': '2024-07-31',
}

/** The edition to which a design of this day is made (ISO date); undefined before the oldest one here. */
export const editionOn = (day: string): Edition | undefined =>
  EDITIONS.findLast((edition) => EDITION_FROM[edition] <= day)
