import type { RigProblem } from '#core/bay/model/check'

type Params = RigProblem['params']

const SENTENCES: Readonly<Record<RigProblem['code'], (p: Params, where: string) => string>> = {
  twoOfOneId: (_, where) => `Two things are called ${where}. Give one of them another id.`,
  unknownPart: (p, where) => `${where} ends at ${p.part}, and there is no such part.`,
  unknownTerminal: (p, where) =>
    `${where} ends at terminal ${p.terminal} of ${p.part}, which has ${p.terminals}.`,
  lengthNotPositive: (p, where) =>
    `${where} (${p.ends}) is ${p.lengthM} m long. A conductor without length would be a short circuit without resistance: give a length above 0.`,
  unknownArea: (p, where) =>
    `${where} (${p.ends}) has ${p.areaMm2} mm². Conductors are made in ${p.areas} mm².`,
  ohmNotPositive: (p, where) =>
    `${where} (${p.ends}) has a resistance below or at nothing. Give one above 0 Ω.`,
  sameTerminal: (p, where) =>
    `Both ends of ${where} are at ${p.terminal}. Take it out, or choose another terminal.`,
  terminalFull: (p) =>
    `${p.terminal} takes ${p.room === 1 ? 'one conductor' : `${p.room} conductors`} and has ${p.count}. Move one to a free terminal.`,
  noSuchRun: (p, where) => `${where} lies in the run ${p.run}, which is not in the list of runs.`,
  noSuchBoard: (p, where) => `${where} stands in the board ${p.board}, which is not in the list of boards.`,
  noSupply: () => 'The bay has no supply. Add a part of the kind “supply”.',
  twoSupplies: (p) => `${p.one} and ${p.other} are both supplies. A bay has one.`,
  boardUnsupplied: (p) => `Nothing joins ${p.board} to the supply. Wire its main switch.`,
  noTooth: (p, where) => `Busbar ${where} has ${p.teeth} teeth, counted from 0; there is none at ${p.place}.`,
  wayBeyond: (p, where) => `${where} stands at way ${p.way} of ${p.board}, which has ${p.ways} ways.`,
  wayTaken: (p, where) => `${where} stands at way ${p.way} of ${p.board}, where ${p.other} is already.`,
}

/** What is wrong with a rig, as one sentence that names the terminal and says how to mend it. */
export const rigSentence = ({ code, params, where }: RigProblem): string => SENTENCES[code](params, where)
