/* A plan as it is drawn: what each tool makes of taps, what is missing, what is changed, and routes led along walls. */
import { reactive } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { useSurveyPlan, type PlanTool } from '~/composables/useSurveyPlan'
import { cornersOf, cornersText } from '~/utils/plan-texts'

let fields: Record<string, string>
let survey: ReturnType<typeof useSurveyPlan>
beforeEach(() => {
  fields = reactive({})
  survey = useSurveyPlan({ fields, write: (name, text) => void (fields[name] = text) })
})
const draw = (tool: PlanTool, taps: readonly (readonly [number, number])[], isDone = false) => {
  survey.choose(tool)
  for (const [x, y] of taps) survey.tap({ x, y })
  if (isDone) survey.finish()
}
const WALLS = [
  [0, 0],
  [400, 0],
  [400, 300],
] as const

describe('tools', () => {
  it('what has a number of taps ends by itself, the rest when it is done', () => {
    draw('scale', [
      [0, 0],
      [400, 0],
    ])
    expect(survey.plan.value.known).toMatchObject({ metres: 0 })
    expect(survey.tool.value).toBe('pick')
    draw('wall', WALLS)
    expect(survey.plan.value.walls).toEqual([])
    survey.finish()
    expect(survey.plan.value.walls[0]!.line).toHaveLength(3)
  })
  it('taps land on corners, walls and a grid', () => {
    draw('wall', WALLS, true)
    draw('point', [[395, 6]])
    draw('point', [[203, 4]])
    draw('point', [[152, 101]])
    expect(survey.plan.value.points.map(({ x, y }) => [x, y])).toEqual([
      [400, 0],
      [205, 0],
      [150, 100],
    ])
  })
  it.each([
    ['wall', [[0, 0]], /two corners/],
    ['room', WALLS.slice(0, 2), /three corners/],
    ['route', WALLS, /leads to a point/],
  ] as const)('%s with too few taps says what is missing and keeps them', (tool, taps, says) => {
    draw(tool, taps, true)
    expect(survey.missing.value).toMatch(says)
    expect(survey.drawn.value).toHaveLength(taps.length)
    expect(Object.keys(fields)).toEqual([])
    survey.cancel()
    expect([survey.missing.value, survey.drawn.value]).toEqual(['', []])
  })
  it('a tap with nothing chosen draws nothing', () => {
    survey.tap({ x: 1, y: 1 })
    expect(survey.drawn.value).toEqual([])
  })
})

describe('what is there', () => {
  it('is changed part by part, and removed', () => {
    draw('room', [...WALLS, [0, 300]], true)
    const box = survey.picked.value!
    survey.change(box, { ambientC: 45 })
    expect(survey.plan.value.rooms[0]).toMatchObject({ ambientC: 45, name: 'Room 1' })
    survey.remove(box)
    expect([survey.plan.value.rooms, survey.picked.value]).toEqual([[], null])
  })
  it('a route is led along the walls from the board to its point; without walls nothing is changed', () => {
    draw('board', [[0, 0]])
    draw('point', [[400, 300]])
    draw('route', [[400, 300]], true)
    const route = () => survey.plan.value.routes[0]!
    expect(survey.lead(route())).toBe(false)
    expect(route().via).toEqual([])
    draw('wall', WALLS, true)
    expect(survey.lead(route())).toBe(true)
    expect(route().via).toEqual([{ x: 400, y: 0 }])
  })
  it('the scale follows the metres, and there is none without a length', () => {
    draw('scale', [
      [0, 0],
      [400, 0],
    ])
    expect(survey.scale.value).toBeUndefined()
    survey.setKnown({ ...survey.plan.value.known!, metres: 8 })
    expect(survey.scale.value).toBeCloseTo(0.02, 12)
  })
})

it.each([
  [
    '40,40 680,40',
    [
      { x: 40, y: 40 },
      { x: 680, y: 40 },
    ],
  ],
  ['', []],
  ['40;40', null],
  ['40,40,3', null],
  ['a,b', null],
])('corners typed as “%s”', (text, corners) => {
  expect(cornersOf(text)).toEqual(corners)
  if (corners?.length) expect(cornersOf(cornersText(corners))).toEqual(corners)
})
