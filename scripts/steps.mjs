/* Small helpers for the two commands of the README. Node's own modules only: they run before anything is installed. */
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(ROOT)

/** Runs a command in sight of the user; stops the whole script when it fails. */
export function run(title, command, args, options = {}) {
  console.log(`\n— ${title}`)
  const result = spawnSync(command, args, {
    stdio: 'inherit',
    ...options,
    env: { ...process.env, ...options.env },
  })
  if (result.error) fail(`${title}: ${result.error.message}`)
  if (result.status !== 0) fail(`${title} did not succeed.`)
}

/** Runs commands beside each other, each heard out whole before the next; stops the script when one fails. */
export async function runBeside(commands) {
  const results = commands.map(([title, command, args]) => ({
    title,
    ended: new Promise((resolve) => {
      const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] })
      let heard = ''
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (heard += data))
      child.once('error', (error) => resolve({ status: 1, heard: error.message }))
      child.once('close', (status) => resolve({ status, heard }))
    }),
  }))
  for (const { title, ended } of results) {
    const { status, heard } = await ended
    console.log(`\n— ${title}\n${heard.trim()}`)
    if (status !== 0) fail(`${title} did not succeed.`)
  }
}

export function fail(sentence) {
  console.error(`\n✗ ${sentence}`)
  process.exit(1)
}

const hashOf = (files) => {
  const hash = createHash('sha256')
  for (const file of files) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

/** Every file below a folder, without what is made or installed. */
function filesIn(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesIn(path) : [path]
  })
}

/** Does the work unless the same inputs were handled before; a stamp in node_modules remembers. */
function unlessUnchanged(name, inputs, outputs, work) {
  const stamp = join('node_modules', '.cache', 'nakshi', name)
  const hash = hashOf(inputs)
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash && outputs.every((path) => existsSync(path)))
    return
  work()
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, hash)
}

export function install() {
  const major = Number(process.versions.node.split('.')[0])
  if (major < 20) fail(`Node.js 20 or later is needed; this is ${process.version}.`)
  const built = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node'
  unlessUnchanged(
    'install',
    ['package.json', 'package-lock.json'],
    ['node_modules/nuxt/package.json', built],
    () => {
      // What is compiled takes every core.
      const env = { JOBS: 'max' }
      const quiet = '--loglevel=error'
      run(
        'Installing packages (the database driver is compiled, about two minutes)',
        'npm',
        ['ci', '--no-audit', '--no-fund', quiet],
        { env },
      )
      if (!existsSync(built))
        run('Compiling the database driver', 'npm', ['rebuild', 'better-sqlite3', 'esbuild', quiet], { env })
      if (!existsSync(built))
        fail(
          'The database driver could not be compiled. It needs python3, make and a C++ compiler (Debian: apt-get install build-essential python3).',
        )
    },
  )
}

export function build() {
  const inputs = [
    'nuxt.config.ts',
    'package-lock.json',
    ...['app', 'core', 'words', 'schemas', 'server', 'public', 'frameworks', 'scripts/build'].flatMap(
      filesIn,
    ),
  ]
  unlessUnchanged('build', inputs, ['.output/server/index.mjs'], () =>
    run('Building', 'npx', ['nuxt', 'build', '--logLevel=silent']),
  )
}

export function isPortFree(port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, () => probe.close(() => resolve(true)))
  })
}

/** As `npm start` and `deploy` have it: what a screen is made of is thrown away at once, and seldom looked through. */
const SERVER_FLAGS = ['--min-semi-space-size=32', '--max-semi-space-size=32']

/** Starts the built server and waits until it answers. */
export async function startServer(port, data, stdio = 'inherit') {
  const server = spawn(process.execPath, [...SERVER_FLAGS, '.output/server/index.mjs'], {
    stdio,
    env: {
      // The demo and the tests show the stream of instruments too.
      NAKSHI_INSTRUMENT_PORT: String(port + 1000),
      ...process.env,
      PORT: String(port),
      NITRO_PORT: String(port),
      NAKSHI_DATA: data,
    },
  })
  let ended = false
  server.once('exit', () => (ended = true))
  for (let i = 0; i < 150 && !ended; i += 1) {
    const isUp = await fetch(`http://127.0.0.1:${port}/api/session`).then(
      (r) => r.ok,
      () => false,
    )
    if (isUp) return server
    await new Promise((go) => setTimeout(go, 200))
  }
  server.kill()
  return fail('The server did not start.')
}
