import type { InjectionKey, Ref } from 'vue'
import type { ExerciseSurvey } from '#schemas/survey-views'
import { originSays } from '#words/survey/says'

/** Sentences of where a box comes from, by its name. */
const ORIGINS: InjectionKey<Readonly<Ref<ReadonlyMap<string, string>>>> = Symbol('origins')

/** The survey of an exercise, told to every box that comes from it; null where it was made by hand. */
export function provideSurveyOrigins(exerciseId: number | null) {
  const { data: survey, refresh } = useServer<ExerciseSurvey | null>(() =>
    exerciseId === null ? null : `exercises/${exerciseId}/survey`,
  )
  const says = computed(
    () =>
      new Map(
        (survey.value?.boxes ?? []).flatMap(({ box, from }) =>
          from ? [[box, `From the survey, ${originSays(from)}`] as const] : [],
        ),
      ),
  )
  provide(ORIGINS, says)
  return { survey, refresh }
}

/** Where this box comes from, in a sentence; undefined where somebody has typed it. */
export function useSurveyOrigin(box: () => string | undefined) {
  const origins = inject(ORIGINS, null)
  return computed(() => {
    const name = box()
    return name === undefined ? undefined : origins?.value.get(name)
  })
}
