import type { Person } from '../repos/people'

/** What people choose first; kept short: the patterns below catch the rest. From memory of published lists. */
const COMMON_PASSWORDS = [
  'password',
  'passwort',
  'qwertyuiop',
  'qwerty',
  'asdfgh',
  'letmein',
  'welcome',
  'iloveyou',
  'football',
  'liverpool',
  'arsenal',
  'chelsea',
  'monkey',
  'dragon',
  'sunshine',
  'princess',
  'superman',
  'changeme',
  'college',
  'electric',
  'electrician',
  'apprentice',
  'nakshi',
  'abc123',
]
const COMMON_PINS = [
  '1212', '1004', '6969', '1122', '1313', '1010', '2580', '0852', '1230', '2000', '2001', '2112', '1221', '1331',
] // prettier-ignore

const letters = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]/gu, '')

/** One sign again and again, or one after the other up or down: 1111, abcdefgh, 87654321. */
function isRun(text: string): boolean {
  const steps = new Set([...text].slice(1).map((sign, i) => sign.codePointAt(0)! - text.codePointAt(i)!))
  return text.length > 1 && steps.size === 1 && [0, 1, -1].includes([...steps][0]!)
}

/** Names of at least four letters, and the number one signs in with. */
const ownWords = ({ number, name }: Pick<Person, 'number' | 'name'>): string[] =>
  [number, ...name.split(/\s+/)].map(letters).filter((word) => word.length >= 4)

/** Would somebody who knows the person, or a list of common ones, come upon this password? */
export function isWeakPassword(password: string, person: Pick<Person, 'number' | 'name'>): boolean {
  const plain = letters(password)
  // What is left when the usual decoration at the end is taken off: password2026.
  const word = plain.replace(/\d+$/, '')
  return (
    new Set(plain).size < 4 ||
    isRun(plain) ||
    COMMON_PASSWORDS.includes(word) ||
    COMMON_PASSWORDS.includes(plain) ||
    ownWords(person).some((own) => plain.includes(own) && plain.length - own.length < 6)
  )
}

/** A PIN that would be tried first: a run, a year, one of the common ones, the person's own number. */
export function isWeakPin(pin: string, { number }: Pick<Person, 'number'>): boolean {
  const own = number.replace(/\D/g, '')
  return (
    new Set(pin).size < 2 ||
    isRun(pin) ||
    COMMON_PINS.includes(pin) ||
    /^(19|20)\d\d$/.test(pin) ||
    (own.length >= 3 && pin.includes(own))
  )
}
