import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Complex } from '#core/bay/network/complex'

/** What ngspice prints for a netlist: `v(name)` and `i(name)`, effective values as complex numbers. */
export function runSpice(text: string): ReadonlyMap<string, Complex> {
  const folder = mkdtempSync(join(tmpdir(), 'netlist-'))
  try {
    const file = join(folder, 'bay.cir')
    writeFileSync(file, text)
    const { stdout, stderr, error } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' })
    if (error) throw new Error(`ngspice did not run (${error.message}); npm test installs it`)
    const values = new Map<string, Complex>()
    for (const [, name, re, im] of stdout.matchAll(/^([vi]\([^)]+\)) = (\S+?)(?:,(\S+))?$/gm))
      values.set(name!, { re: Number(re), im: Number(im ?? 0) })
    if (values.size === 0) throw new Error(`ngspice gave nothing:\n${stdout}\n${stderr}`)
    return values
  } finally {
    rmSync(folder, { recursive: true })
  }
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
