import { inOrder } from '../../in-order'
import type { FaceDevice } from '../../drawing/board-face'
import type { DevicePart, Rig } from '../model/rig'
import { modulesOf, railOrder } from '../model/rail'

/** How a device looks from before the board, by what it is and not by how it does. */
export function faceOf(device: DevicePart): Pick<FaceDevice, 'kind' | 'modules' | 'print'> {
  const modules = modulesOf(device)
  const { overcurrent, residual, ratingA } = device
  if (device.role === 'main-switch') return { kind: 'switch', modules, print: `${ratingA} A` }
  if (residual && overcurrent)
    return { kind: 'rcbo', modules, print: `${overcurrent.curve ?? ''} ${ratingA}` }
  if (residual) return { kind: 'rcd', modules, print: `${residual.ratedA * 1e3} mA` }
  if (overcurrent && overcurrent.curve === null) return { kind: 'fuse', modules, print: `${ratingA} A` }
  return { kind: 'breaker', modules, print: `${overcurrent?.curve ?? ''} ${ratingA}` }
}

/** From left to right: by section, or by way and line where each way has three. */
function standing(rig: Rig, board: string): DevicePart[] {
  const devices = railOrder(rig, board).filter((part): part is DevicePart => part.kind === 'device')
  if (rig.boards.find(({ id }) => id === board)?.phases !== 3) return devices
  return devices.sort((a, b) => (a.way ?? 0) - (b.way ?? 0) || inOrder(a.name, b.name))
}

/** The devices of a board in the order of its rail, all on and nothing hung at them, each with what stands below it. */
export const facesOf = (rig: Rig, board: string, labelOf: (device: DevicePart) => string): FaceDevice[] =>
  standing(rig, board).map((device) => ({
    ...faceOf(device),
    id: device.id,
    isOn: true,
    label: labelOf(device),
    secured: { isLocked: false, hasHasp: false, isLockedByOther: false, notice: 'none' },
  }))
