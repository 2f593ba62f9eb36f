import { choose, inTopic, number, spoken, verdict } from '../make'

export const IP = inTopic('ip', [
  choose(
    'ip-top',
    1,
    'What protection must the top of an enclosure that can be reached have?',
    [['IPXXD or IP4X'], ['IPXXB or IP2X', 'IP65', 'None']],
    { source: 'BS 7671 416.2.2, from memory' },
  ),
  choose('ip-sides', 1, 'And its other faces?', [['IPXXB or IP2X'], ['IPXXD or IP4X', 'IP00', 'IP67']], {
    source: 'BS 7671 416.2.1, from memory',
    plain: 'Enclosure, front and sides: which IP at least?',
  }),
  number('ip-4x', 1, 'IP4X keeps out a wire of what diameter?', [1, 'mm', 0], {
    source: 'BS EN 60529, from memory',
  }),
  number('ip-2x', 1, 'IP2X keeps out a body of what diameter?', [12.5, 'mm', 0.5], {
    source: 'BS EN 60529, from memory',
  }),
  spoken(
    'ip-why-top',
    2,
    'Why is the top asked for more than the sides?',
    'Things fall in from above: swarf, screws, jewellery.',
    { prompts: ['What falls?'] },
  ),
  spoken(
    'ip-digits',
    1,
    'What do the two digits of an IP code say?',
    'The first: fingers, tools and dust. The second: water.',
    { source: 'BS EN 60529, from memory' },
  ),
  spoken('ip-x', 1, 'What does an X in IPX4 say?', 'That this digit is not stated, not that it is nothing.', {
    source: 'BS EN 60529, from memory',
  }),
  spoken(
    'ip-2x-xxb',
    3,
    'What is the difference between IP2X and IPXXB?',
    'IP2X keeps out a 12.5 mm ball too; XXB only says that a finger does not reach live parts.',
    { source: 'BS EN 60529, from memory' },
  ),
  choose(
    'ip-outdoor',
    2,
    'Which is the least for a luminaire in falling rain, without cover?',
    [['IPX3 or IPX4 as exposed'], ['IP20', 'IPX0', 'IP2X alone']],
    { source: 'BS 7671 522.3 and 714, from memory' },
  ),
  number('ip-bath-zone1', 2, 'Which second digit at least in zone 1 of a bathroom?', [4, 'digit', 0], {
    source: 'BS 7671 701.512.2, from memory',
    also: ['IPX5 where water jets clean'],
  }),
  number('ip-zone0', 2, 'Which second digit at least in zone 0?', [7, 'digit', 0], {
    source: 'BS 7671 701.512.2, from memory',
  }),
  spoken(
    'ip-knockout',
    1,
    'A knock-out was opened and is not used. What now?',
    'Close it with a blank that keeps the IP of that face.',
    { prompts: ['Which face is it?'] },
  ),
  spoken('ip-spare', 1, 'What does a spare way need?', 'A blank, so that no finger reaches the busbar.', {}),
  verdict(
    'ip-gland',
    2,
    'A hole of the right size keeps the enclosure’s IP without a gland.',
    ['false', 'The cable entry is part of the enclosure: a gland or grommet of the same protection.'],
    { source: 'BS 7671 526.8 and 416.2, from memory' },
  ),
])
