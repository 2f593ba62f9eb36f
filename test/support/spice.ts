import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Complex } from '#core/bay/network/complex'

/** Everything that ngspice prints for a netlist, run as a process of its own. */
function outputOf(text: string): { readonly stdout: string; readonly stderr: string } {
  const folder = mkdtempSync(join(tmpdir(), 'netlist-'))
  try {
    const file = join(folder, 'bay.cir')
    writeFileSync(file, text)
    const { stdout, stderr, error } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' })
    if (error) throw new Error(`ngspice did not run (${error.message}); npm test installs it`)
    return { stdout, stderr }
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** What ngspice prints for a netlist: `v(name)` and `i(name)`, effective values as complex numbers. */
export function runSpice(text: string): ReadonlyMap<string, Complex> {
  const { stdout, stderr } = outputOf(text)
  const values = new Map<string, Complex>()
  for (const [, name, re, im] of stdout.matchAll(/^([vi]\([^)]+\)) = (\S+?)(?:,(\S+))?$/gm))
    values.set(name!, { re: Number(re), im: Number(im ?? 0) })
  if (values.size === 0) throw new Error(`ngspice gave nothing:\n${stdout}\n${stderr}`)
  return values
}

/** What one analysis takes by ngspice's own account, ms, of a listing that makes many of them. */
export function spiceAnalysisMs(timed: string, analyses: number): number {
  const { stdout, stderr } = outputOf(timed)
  const seconds = /Total analysis time \(seconds\) = (\S+)/.exec(stdout + stderr)?.[1]
  if (seconds === undefined) throw new Error(`ngspice gave no time:\n${stdout}\n${stderr}`)
  return (1000 * Number(seconds)) / analyses
}

/** A hand-written netlist with the analysis and the printing of these quantities around it. */
export function handWritten(lines: readonly string[], hertz: number, wanted: readonly string[]): string {
  return [
    'by hand',
    ...lines,
    '.options reltol=1e-9 abstol=1e-15',
    '.control',
    'set numdgt=15',
    hertz === 0 ? 'op' : `ac lin 1 ${hertz} ${hertz}`,
    ...wanted.map((what) => `print ${what}`),
    '.endc',
    '.end',
    '',
  ].join('\n')
}
