/** What an assessor looks for in a passage, and does not find in its words. */
export const READER_PROMPTS = [
  'own',
  'source',
  'used',
  'cableType',
  'cableSize',
  'cableLength',
  'zone',
  'zoneKnown',
  'fixing',
  'spacing',
  'levelBy',
  'influence',
  'why',
] as const
export type ReaderPrompt = (typeof READER_PROMPTS)[number]

const SOURCE =
  /\b(bs ?7671|regulations?|on-?site guide|osg|guidance note|gn ?\d|drawings?|specification|spec|instructions?|data ?sheet|table \d|appendix|design|schedule)\b/i
const USED =
  /\b(checked|read|looked (up|at)|used|followed|measured from|took from|taken from|compared|worked from|according to|as shown|page \d|p\. ?\d)\b/i
const OWN = /\b(i|my|me|myself)\b/i
const CABLE = /\b(cables?|wires?|wired|wiring|conductors?|singles|cores?|flex|armoured|swa|twin)\b/i
const CABLE_TYPE =
  /\b(twin and earth|t&e|flat twin|singles|swa|armoured|multi-?core|mineral|micc|fire[- ]resistant|fp ?\d+|flex(ible)?|cat ?\d|lsf|h07|pvc|xlpe|lszh)\b/i
const SIZE = /\b\d+([.,]\d+)? ?(mm²|mm2|mm\^2|sq(uare)? ?mm|square millimet)/i
const LENGTH = /\b\d+([.,]\d+)? ?(m|metres?|meters?)\b/i
const BURIED = /\b(chas(e|ed|ing)|buried|plaster(ed)?|in the wall|concealed|zones?|drop)\b/i
const ZONE = /\b(zones?|150 ?mm|prescribed|level with|in line with|vertical(ly)? (from|above|below))\b/i
const ZONE_SOURCE = /\b(bs ?7671|522\.6|on-?site guide|osg|guide|drawing|regulation)\b/i
const FIXED =
  /\b(fix(ed|ing)?|clip(s|ped)?|saddles?|screw(s|ed)?|plug(s|ged)?|bracket|cleats?|support(s|ed)?|fasten(ed|er)?|mounted)\b/i
const HOW_FIXED = /\b(clips?|saddles?|screws?|plugs?|brackets?|cleats?|bolts?|ties|tie wraps?)\b/i
const SPACING = /\b(every|spac(ed|ing)|apart|centres?|intervals?|between (the )?(clips|saddles|supports))\b/i
const LOOKS = /\b(level|plumb|straight|square|aligned|alignment|neat|vertical|horizontal)\b/i
const LEVELLED_BY =
  /\b(spirit level|laser|line|string|water level|plumb (bob|line)|tape|rule|square|template)\b/i
const WET = /\b(bath(room)?|shower|outdoors?|outside|wash|kitchen|damp|wet|garden|roof|dust|paint)\b/i
const INFLUENCE = /\b(ip ?\d|ip ?x|zone \d|water|moisture|dust|impact|sunlight|uv|temperature|sealed)\b/i
const WHY =
  /\b(because|so that|in order to|to (avoid|prevent|keep|allow|make sure|comply|meet)|since|therefore|otherwise|as it)\b/i

/**
 * What an assessor would ask of this passage: what is neither said in it nor in the account round it. A matter that the
 * passage does not touch is not asked about; its source, use and reason always are. Nothing is judged: what is not
 * shown is not assumed, and the person says it.
 */
export function readerPrompts(passage: string, account = passage): ReaderPrompt[] {
  const says = (pattern: RegExp) => pattern.test(passage)
  const anywhere = (pattern: RegExp) => says(pattern) || pattern.test(account)
  const asks: Readonly<Record<ReaderPrompt, boolean>> = {
    own: !says(OWN),
    source: !anywhere(SOURCE),
    used: anywhere(SOURCE) && !anywhere(USED),
    cableType: says(CABLE) && !anywhere(CABLE_TYPE),
    cableSize: says(CABLE) && !says(SIZE),
    cableLength: says(CABLE) && !anywhere(LENGTH),
    zone: says(BURIED) && !says(ZONE),
    zoneKnown: says(ZONE) && says(BURIED) && !says(ZONE_SOURCE),
    fixing: says(FIXED) && !says(HOW_FIXED),
    spacing: says(FIXED) && !anywhere(SPACING),
    levelBy: says(LOOKS) && !anywhere(LEVELLED_BY),
    influence: says(WET) && !anywhere(INFLUENCE),
    why: !says(WHY),
  }
  return READER_PROMPTS.filter((prompt) => asks[prompt])
}
