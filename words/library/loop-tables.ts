import { CURVES, DEVICES, MAGNETIC_BAND, breakerMaximumZsOhm } from '#core/regulations/devices'
import { FUSE_LOOP_OHM, type FuseFamily } from '#core/regulations/fuses'
import { RCD_RATINGS_A, rcdMaximumZsOhm } from '#core/regulations/rcd'
import { SOURCES } from '#core/regulations/source'
import { C_MIN, TOUCH_LIMIT_V, U0_V } from '#core/regulations/supply'
import { cell, plain } from './cells'
import type { LibraryTable } from './entry'

const breakers: LibraryTable = {
  kind: 'table',
  id: 'zs-breakers',
  title: 'Largest Zs for breakers and RCBOs, 0.4 s and 5 s',
  source: SOURCES.maximumLoopImpedance,
  unit: 'Ω',
  corner: 'In',
  columns: CURVES.map((curve) => `type ${curve}`),
  rows: DEVICES.breaker.ratingsA.map((rating) => ({
    head: `${rating} A`,
    cells: CURVES.map((curve) =>
      cell(
        breakerMaximumZsOhm(curve, rating),
        'resistance',
        `${U0_V} × ${C_MIN} ÷ (${MAGNETIC_BAND[curve][1]} × ${rating})`,
      ),
    ),
  })),
  note: 'Zs = U0 × Cmin ÷ Ia. Ia is the upper end of the magnetic band: 5, 10 or 20 times In.',
}

const fuse = (family: FuseFamily, name: string): LibraryTable => ({
  kind: 'table',
  id: `zs-${family}`,
  title: `Largest Zs for ${name}`,
  source: SOURCES.fuseLoopImpedance,
  unit: 'Ω',
  corner: 'In',
  columns: ['0.4 s (Table 41.2)', '5 s (Table 41.4)'],
  rows: Object.keys(FUSE_LOOP_OHM[family].slow)
    .map(Number)
    .map((rating) => ({
      head: `${rating} A`,
      cells: (['fast', 'slow'] as const).map((speed) => {
        const ohm = FUSE_LOOP_OHM[family][speed][rating]
        return cell(
          ohm,
          'resistance',
          ohm === undefined
            ? undefined
            : `${U0_V} × ${C_MIN} ÷ ${((U0_V * C_MIN) / ohm).toFixed(0)} A, the current that melts it in that time`,
        )
      }),
    })),
})

const residual: LibraryTable = {
  kind: 'table',
  id: 'zs-residual',
  title: 'Largest Zs where an RCD clears the fault',
  source: SOURCES.residualLoopImpedance,
  unit: 'Ω',
  corner: 'IΔn',
  columns: ['Zs'],
  rows: RCD_RATINGS_A.map((rating) => ({
    head: `${rating * 1e3} mA`,
    cells: [plain(rcdMaximumZsOhm(rating), `${TOUCH_LIMIT_V} V ÷ ${rating} A`)],
  })),
  note: 'An electrode above 200 Ω is likely to be unstable.',
}

/** The largest Zs by what clears the fault. */
export const LOOP_TABLES: readonly LibraryTable[] = [
  breakers,
  fuse('gg', 'BS 88-2 fuses'),
  fuse('cartridge', 'BS 88-3 fuses'),
  fuse('rewirable', 'BS 3036 rewirable fuses'),
  fuse('plug', 'BS 1362 plug fuses'),
  residual,
]
