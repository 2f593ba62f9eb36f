import type { Picture } from '#core/questions/question'

const at = (drawing: Picture['drawing'], spot = ''): Picture => ({ drawing, spot })

/**
 * Drawings beside questions that are about a place or a part, with the part marked where it does not give the
 * answer.
 */
export const PICTURES: Readonly<Record<string, Picture>> = {
  'su-owns-cutout': at('intake', 'cutOut'),
  'su-owns-meter': at('intake', 'meter'),
  'su-dno-fuse': at('intake', 'cutOut'),
  'su-tncs': at('intake'),
  'su-tns': at('intake'),
  'su-ipf-ends': at('intake'),
  'bo-main-switch': at('board', 'mainSwitch'),
  'bo-neutral-order': at('board', 'neutralBar'),
  'bo-busbar': at('board', 'busbar'),
  'bo-mixed': at('board', 'otherWays'),
  'te-doubled': at('outlet', 'lineTerminal'),
  'te-nick': at('outlet', 'lineTerminal'),
  'te-sheath': at('outlet', 'grommet'),
  'te-earth-sleeve': at('outlet', 'earthTerminalOutlet'),
  'bn-extraneous': at('intake', 'waterPipe'),
  'bn-where': at('intake', 'waterPipe'),
  'bn-distance': at('intake', 'mainBonding'),
  'bn-size-pme': at('intake', 'mainBonding'),
  'bn-label': at('intake', 'mainBonding'),
  'bn-exposed': at('outlet', 'box'),
  'ca-zones': at('wall'),
  'ca-depth': at('wall', 'openWall'),
}
