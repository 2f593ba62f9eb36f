import type { Shapes } from '../drawing/shape'
import { BOARD_DRAWN, type Draw } from './draw-board'
import { INTAKE_DRAWN } from './draw-intake'
import { ROOM_DRAWN } from './draw-room'
import type { SpotKind } from './looks'
import type { Spot } from './scenes/spot'

const DRAWN: Readonly<Record<SpotKind, Draw>> = { ...BOARD_DRAWN, ...INTAKE_DRAWN, ...ROOM_DRAWN }

/** A spot as it is seen: shapes and what they are made of. What is wrong with it is not named. */
export const drawSpot = (spot: Spot): Shapes => DRAWN[spot.kind](spot)
