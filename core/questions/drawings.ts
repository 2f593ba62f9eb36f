/** Simple drawings to point at. Lengths in units of a sheet 400 wide and 240 high. */
export interface Spot {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  /** Filled as what it is; a plain outline where left out. */
  readonly ink?: 'line' | 'neutral' | 'earth' | 'metal'
}

export const DRAWING_CODES = ['intake', 'board', 'outlet', 'wall'] as const
export type DrawingCode = (typeof DRAWING_CODES)[number]

/** A dwelling's intake: cable from below, cut-out, tails, meter, isolator, consumer unit; earth and bonding beside. */
const INTAKE: readonly Spot[] = [
  { id: 'serviceCable', x: 34, y: 178, w: 14, h: 56, ink: 'metal' },
  { id: 'cutOut', x: 16, y: 112, w: 50, h: 66 },
  { id: 'meterTails', x: 66, y: 126, w: 40, h: 10, ink: 'line' },
  { id: 'meter', x: 106, y: 96, w: 62, h: 82 },
  { id: 'isolator', x: 196, y: 112, w: 40, h: 50 },
  { id: 'consumerUnit', x: 268, y: 56, w: 122, h: 82 },
  { id: 'earthTerminal', x: 196, y: 186, w: 62, h: 18, ink: 'earth' },
  { id: 'mainBonding', x: 284, y: 176, w: 12, h: 58, ink: 'earth' },
  { id: 'waterPipe', x: 320, y: 150, w: 14, h: 84, ink: 'metal' },
]

/** An open board: main switch on the right, RCD, ways, busbar under them, bars above. */
const BOARD: readonly Spot[] = [
  { id: 'neutralBar', x: 24, y: 26, w: 160, h: 16, ink: 'neutral' },
  { id: 'earthBar', x: 214, y: 26, w: 160, h: 16, ink: 'earth' },
  { id: 'way1', x: 176, y: 82, w: 30, h: 92 },
  { id: 'spareWay', x: 40, y: 82, w: 30, h: 92 },
  { id: 'otherWays', x: 72, y: 82, w: 102, h: 92 },
  { id: 'rcd', x: 210, y: 82, w: 66, h: 92 },
  { id: 'mainSwitch', x: 300, y: 82, w: 66, h: 92 },
  { id: 'busbar', x: 40, y: 182, w: 236, h: 12, ink: 'line' },
  { id: 'cableEntry', x: 88, y: 2, w: 60, h: 14, ink: 'metal' },
]

/** The rear of a socket-outlet in a metal box. */
const OUTLET: readonly Spot[] = [
  { id: 'box', x: 84, y: 14, w: 232, h: 212, ink: 'metal' },
  { id: 'earthTerminalOutlet', x: 174, y: 44, w: 52, h: 34, ink: 'earth' },
  { id: 'lineTerminal', x: 118, y: 148, w: 52, h: 34, ink: 'line' },
  { id: 'neutralTerminal', x: 230, y: 148, w: 52, h: 34, ink: 'neutral' },
  { id: 'boxEarth', x: 284, y: 24, w: 22, h: 22, ink: 'earth' },
  { id: 'grommet', x: 186, y: 206, w: 28, h: 28 },
]

/** A wall from floor to ceiling with a door, a socket, a switch and the zones of buried cable. */
const WALL: readonly Spot[] = [
  { id: 'ceilingZone', x: 8, y: 8, w: 250, h: 22 },
  { id: 'cornerZone', x: 8, y: 30, w: 22, h: 202 },
  { id: 'switchDrop', x: 210, y: 30, w: 14, h: 70, ink: 'line' },
  { id: 'switch', x: 204, y: 100, w: 26, h: 26 },
  { id: 'socket', x: 96, y: 182, w: 44, h: 28 },
  { id: 'levelRun', x: 140, y: 190, w: 84, h: 12, ink: 'line' },
  { id: 'openWall', x: 46, y: 56, w: 120, h: 100 },
  { id: 'door', x: 286, y: 60, w: 84, h: 172 },
]

export const DRAWINGS: Readonly<Record<DrawingCode, readonly Spot[]>> = {
  intake: INTAKE,
  board: BOARD,
  outlet: OUTLET,
  wall: WALL,
}
export const DRAWING_SIZE = { width: 400, height: 240 } as const
export const spotsOf = (drawing: DrawingCode): readonly string[] => DRAWINGS[drawing].map(({ id }) => id)
