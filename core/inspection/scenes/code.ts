/** Places that the trainer draws. */
export const SCENES = ['board', 'threePhase', 'intake', 'room'] as const
export type SceneCode = (typeof SCENES)[number]
