/* npm test: installs what tests need, then lint, types, unit and API tests, build, browser tests. */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { build, fail, install, run, runBeside } from './steps.mjs'

const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'

/** Installs packages of Debian whose program is missing. */
function installPrograms() {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(spawnSync('ngspice', ['--version']).status === 0 ? [] : ['ngspice']),
  ]
  if (missing.length === 0) return
  const isRoot = process.getuid?.() === 0
  const apt = (...args) => (isRoot ? ['apt-get', args] : ['sudo', ['apt-get', ...args]])
  if (spawnSync('apt-get', ['--version']).status !== 0)
    fail(
      `The tests need ${missing.join(' and ')}. Install ${missing.length > 1 ? 'them' : 'it'}; Chromium's place goes into CHROMIUM=/path/to/chromium.`,
    )
  run('Fetching the list of packages', ...apt('update', '-qq'))
  run(
    `Installing ${missing.join(' and ')} for the tests`,
    ...apt('install', '-y', '-qq', '--no-install-recommends', ...missing),
    { env: { DEBIAN_FRONTEND: 'noninteractive' } },
  )
  if (!existsSync(CHROMIUM))
    fail(`Chromium was installed, but not as ${CHROMIUM}. Name it in CHROMIUM=/path/to/chromium.`)
}

install()
installPrograms()
run('Preparing types', 'npx', ['nuxt', 'prepare', '--logLevel=silent'])
await runBeside([
  ['Format', 'npm', ['run', '--silent', 'format']],
  ['Lint and direction of dependencies', 'npm', ['run', '--silent', 'lint']],
  ['Types', 'npm', ['run', '--silent', 'types']],
])
run('Unit and API tests', 'npx', ['vitest', 'run'])
build()
run('Browser tests', 'npx', ['playwright', 'test'], { env: { CHROMIUM } })
console.log('\nAll passed.')
