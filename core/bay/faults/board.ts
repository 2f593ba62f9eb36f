import type { BoardFrame, Rig } from '../model/rig'
import type { FaultKind } from './fault'

const changeFrame = (rig: Rig, id: string, change: (board: BoardFrame) => Partial<BoardFrame>): Rig => ({
  ...rig,
  boards: rig.boards.map((board) => (board.id === id ? { ...board, ...change(board) } : board)),
})

export const BOARD_FAULTS: readonly FaultKind[] = [
  {
    code: 'blankMissing',
    group: 'board',
    prior: 3,
    places: (rig) =>
      rig.boards.flatMap(({ id, blanks }) =>
        blanks.map((way) => ({ key: `${id} ${way}`, at: [id, String(way)] })),
      ),
    apply: (rig, { at: [board, way] }) =>
      changeFrame(rig, board!, ({ blanks }) => ({ blanks: blanks.filter((blank) => String(blank) !== way) })),
  },
  {
    code: 'labelMissing',
    group: 'board',
    prior: 3,
    places: (rig) =>
      rig.boards.flatMap(({ id, labels }) =>
        Object.keys(labels).map((way) => ({ key: `${id} ${way}`, at: [id, way] })),
      ),
    apply: (rig, { at: [board, way] }) =>
      changeFrame(rig, board!, ({ labels }) => ({
        labels: Object.fromEntries(Object.entries(labels).filter(([one]) => one !== way)),
      })),
  },
  {
    code: 'busbarCut',
    group: 'board',
    prior: 1,
    places: (rig) =>
      rig.busbars.flatMap(({ id, teeth }) =>
        teeth.slice(1).map((_, i) => ({ key: `${id} ${i}`, at: [id, teeth[i + 1]!] })),
      ),
    apply: (rig, { key }) => {
      const [id, after] = key.split(' ') as [string, string]
      return {
        ...rig,
        busbars: rig.busbars.map((busbar) =>
          busbar.id === id ? { ...busbar, cutAfter: [...busbar.cutAfter, Number(after)] } : busbar,
        ),
      }
    },
  },
  {
    code: 'toothMissing',
    group: 'board',
    prior: 1,
    places: (rig) =>
      rig.busbars.flatMap(({ id, teeth }) =>
        teeth.slice(1).map((tooth, i) => ({ key: `${id} ${i + 1}`, at: [id, tooth] })),
      ),
    apply: (rig, { key }) => {
      const [id, place] = key.split(' ') as [string, string]
      return {
        ...rig,
        busbars: rig.busbars.map((busbar) =>
          busbar.id === id ? { ...busbar, missing: [...busbar.missing, Number(place)] } : busbar,
        ),
      }
    },
  },
]
