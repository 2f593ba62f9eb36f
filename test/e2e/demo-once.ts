import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** The demo is loaded once; each file of tests begins with a copy of it. */
export default function loadDemo(): () => void {
  const demo = mkdtempSync(join(tmpdir(), 'nakshi-demo-'))
  execFileSync('npx', ['tsx', 'demo/load.ts'], { env: { ...process.env, NAKSHI_DATA: demo } })
  process.env.NAKSHI_E2E_DEMO = demo
  return () => rmSync(demo, { recursive: true, force: true })
}
