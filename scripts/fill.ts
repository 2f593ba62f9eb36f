/* npm run fill -- FOLDER [--people 600] [--years 5] [--each 20]: a centre after years, over a freshly loaded demo. */
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { loadDemo } from '../demo/load'
import { fillCentre } from '../demo/filled'
import { openDatabase } from '../server/db/open'
import { createRepos } from '../server/repos'
import { hashPassword } from '../server/services/passwords'
import { DEMO_PASSWORD } from '../demo/story'

const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: { people: { type: 'string' }, years: { type: 'string' }, each: { type: 'string' } },
})
const [folder] = positionals
if (!folder) {
  console.error('Name the folder that the data go into: npm run fill -- FOLDER')
  process.exit(2)
}
const file = join(folder, 'nakshi.sqlite')
if (existsSync(file)) {
  console.error(`${file} is there already. Name an empty folder, or remove it first.`)
  process.exit(1)
}
const figure = (text: string | undefined, usual: number): number => {
  const read = Number(text ?? usual)
  if (!Number.isInteger(read) || read < 1) throw new Error(`${text} is not a whole number above nought.`)
  return read
}
const from = performance.now()
const db = openDatabase(file)
const now = new Date()
await loadDemo(db, now)
const repos = createRepos(db)
const filled = fillCentre(
  repos,
  {
    people: figure(values.people, 600),
    years: figure(values.years, 5),
    each: figure(values.each, 20),
    endsAt: now.toISOString(),
    passwordHash: await hashPassword(DEMO_PASSWORD),
  },
  (n, of) => process.stdout.write(`\rexercise ${n} of ${of}`),
)
db.pragma('wal_checkpoint(TRUNCATE)')
db.close()
console.log(
  `\n${filled.people} apprentices, ${filled.exercises} exercises, ${filled.attempts} attempts in ${Math.round((performance.now() - from) / 1000)} s`,
)
