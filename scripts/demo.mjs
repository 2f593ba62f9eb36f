/* npm run demo: installs when needed, builds when needed, loads the demo scenario into an empty folder, starts. */
import { existsSync } from 'node:fs'
import { build, fail, install, isPortFree, run, startServer } from './steps.mjs'

const port = Number(process.env.PORT ?? 4400)
const data = process.env.NAKSHI_DATA ?? 'demo-data'

if (!Number.isInteger(port) || port < 1 || port > 65535)
  fail(`PORT must be a number from 1 to 65535, not “${process.env.PORT}”.`)
if (!(await isPortFree(port)))
  fail(`Port ${port} is in use. Stop what runs there, or choose another: PORT=${port + 1} npm run demo`)
install()
build()
if (!existsSync(`${data}/nakshi.sqlite`))
  run('Loading the demo scenario', 'npx', ['tsx', 'demo/load.ts'], { env: { NAKSHI_DATA: data } })

const server = await startServer(port, data, ['ignore', 'ignore', 'inherit'])
console.log(`
  Nakshi is running:  http://localhost:${port}

  Sign in with        password  tram-depot-14   (PIN for signing 2468)
    I-201             instructor      Mira Achterberg
    S-301             assessor        Teodor Kask
    T-404             apprentice      Bo Wetherfield (has not started)
    T-403             apprentice      Katri Lindqvist (waits for permission)
    A-100             administrator   Ilse Marrow
    S-302             technician      Nilufar Reyes

  The demo lives in ${data}/. Delete that folder to begin again. Ctrl+C stops the server.
`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.once('exit', (code) => process.exit(code ?? 0))
