import type { LibraryHistory } from './entry'

/** One topic, and what was asked from when on (ISO date of the day from which new work had to keep it). */
const topic = (id: string, title: string, why: string, asked: LibraryHistory['asked']): LibraryHistory => ({
  kind: 'history',
  id: `history-${id}`,
  title,
  why,
  asked,
})

/**
 * What earlier editions asked, in our own words and from memory, as far as somebody who looks at an older installation
 * needs it. Days are those from which a design had to keep the edition; work designed before may follow the one before.
 */
export const HISTORY: readonly LibraryHistory[] = [
  topic(
    'rcds',
    'RCDs, edition by edition',
    'An older circuit without an RCD is not unsafe for that alone; what is added or altered meets the present edition.',
    [
      {
        from: '1983-01-01',
        edition: '15th edition (1981)',
        said: 'RCD for sockets in a TT system. One socket for equipment outdoors: 30 mA, and labelled.',
      },
      {
        from: '1993-01-01',
        edition: '16th edition (1991, BS 7671:1992)',
        said: 'Sockets up to 32 A that may reasonably be expected to supply portable equipment outdoors: 30 mA.',
      },
      {
        from: '2008-07-01',
        edition: '17th edition (BS 7671:2008)',
        said: '30 mA for sockets up to 20 A, cables less than 50 mm deep in walls, and every bathroom circuit.',
      },
      {
        from: '2015-07-01',
        edition: '17th edition, Amendment 3 (2015)',
        said: 'As before; outside dwellings a documented risk assessment may leave out what a socket would need.',
      },
      {
        from: '2019-01-01',
        edition: '18th edition (BS 7671:2018)',
        said: 'Sockets up to 32 A, and lighting circuits in dwellings: 30 mA.',
      },
    ],
  ),
  topic(
    'bonding',
    'Bonding, edition by edition',
    'Thin or missing bonding was often right in its day; an addition needs it adequate first.',
    [
      {
        from: '1983-01-01',
        edition: '15th edition (1981)',
        said: 'Main equipotential bonding of services. Supplementary bonding was common, kitchen sinks included.',
      },
      {
        from: '1993-01-01',
        edition: '16th edition (1991, BS 7671:1992)',
        said: 'Main bonding as before; supplementary bonding in rooms with a bath or shower, not in ordinary kitchens.',
      },
      {
        from: '2008-07-01',
        edition: '17th edition (BS 7671:2008)',
        said: 'No supplementary bonding in a bathroom with 30 mA on every circuit, timely disconnection and main bonding.',
      },
    ],
  ),
  topic(
    'times',
    'Disconnection times, edition by edition',
    'A circuit is judged for danger, not for the times of another edition.',
    [
      {
        from: '1983-01-01',
        edition: '15th edition (1981)',
        said: 'Circuits with sockets 0.4 s, fixed equipment 5 s.',
      },
      {
        from: '2008-07-01',
        edition: '17th edition (BS 7671:2008)',
        said: 'Every final circuit up to 32 A: TN 0.4 s, TT 0.2 s. Others TN 5 s, TT 1 s.',
      },
      {
        from: '2019-01-01',
        edition: '18th edition (BS 7671:2018)',
        said: 'Final circuits with sockets up to 63 A keep the short time too.',
      },
    ],
  ),
  topic(
    'enclosures',
    'Boards in dwellings, edition by edition',
    'A plastic board that was fitted before is a matter of its terminals and its heat, not of its date.',
    [
      {
        from: '1983-01-01',
        edition: '15th to 17th edition',
        said: 'Enclosures of insulating material were usual in dwellings.',
      },
      {
        from: '2016-01-01',
        edition: '17th edition, Amendment 3 (2015)',
        said: 'Non-combustible, or in a cabinet of non-combustible material.',
      },
    ],
  ),
  topic(
    'colours',
    'Colours of conductors, edition by edition',
    'Two sets of colours in one installation are marked by a notice; prove which is which, never by colour alone.',
    [
      {
        from: '1983-01-01',
        edition: '15th and 16th edition',
        said: 'Lines red, yellow and blue; single-phase line red; neutral black; earth green-and-yellow.',
      },
      {
        from: '2004-03-31',
        edition: 'BS 7671:2001, Amendment 2 (2004)',
        said: 'Brown, black and grey lines, blue neutral may be used instead; from 1 April 2006 they must be.',
      },
    ],
  ),
  topic(
    'notices',
    'Notices, edition by edition',
    'A missing notice is easily put right, and tells what the installer knew.',
    [
      {
        from: '1983-01-01',
        edition: '15th edition (1981)',
        said: '“Safety electrical connection – do not remove” at bonding; quarterly test notice at RCDs.',
      },
      {
        from: '2004-03-31',
        edition: 'BS 7671:2001, Amendment 2 (2004)',
        said: 'A notice of two colours where old and new conductors meet.',
      },
      {
        from: '2008-07-01',
        edition: '17th edition (BS 7671:2008)',
        said: 'Notice of the next inspection; warning notice of alternative supplies.',
      },
      {
        from: '2019-01-01',
        edition: '18th edition (BS 7671:2018)',
        said: 'The test button of an RCD every six months.',
      },
    ],
  ),
]

/** What one topic asked on a day; undefined before the oldest edition that is told here. */
export interface AskedThen {
  readonly topic: LibraryHistory
  readonly step: LibraryHistory['asked'][number]
}

/** What each topic asked of a design of that day (ISO date). */
export const askedOn = (day: string): AskedThen[] =>
  HISTORY.flatMap((topic) => {
    const step = topic.asked.findLast(({ from }) => from <= day)
    return step ? [{ topic, step }] : []
  })
