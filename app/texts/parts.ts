import type { PartNeed } from '#core/design/materials/needs'

export const PART_NAME: Readonly<Record<PartNeed['part'], string>> = {
  socket: 'Twin socket-outlet',
  lampholder: 'Luminaire or lampholder',
  switch: 'Switch',
  'cooker-unit': 'Cooker control unit',
  'pull-switch': 'Double-pole pull switch',
  isolator: 'Double-pole switch with flex outlet',
  'motor-starter': 'Motor starter with overload',
  'fused-unit': 'Fused connection unit',
  gland: 'Gland with earth tag',
  conduit: 'Conduit, 3 m lengths',
  trunking: 'Trunking, 3 m lengths',
  box: 'Box',
  board: 'Board',
  busbar: 'Busbar',
  blank: 'Blank for a spare way',
  spd: 'Surge protective device (SPD)',
  'spd-breaker': 'Breaker for the SPD',
}
