import { computed, ref, type Ref } from 'vue'
import { startOf, type Bench } from '#core/principles/bench'
import { judgePrediction, type PredictionVerdict } from '#core/principles/prediction'
import { parseQuantity } from '#core/units/parse'

/**
 * One bench of first principles: it is set, a figure is predicted, then it is switched on. Nothing is shown
 * before a figure has been given, and a setting that is changed switches it off again.
 */
export function usePrinciple(bench: Bench) {
  const settings: Ref<Readonly<Record<string, number>>> = ref(startOf(bench))
  const typed = ref('')
  const isOn = ref(false)
  const figures = computed(() => bench.work(settings.value))
  const predicted = computed(() =>
    parseQuantity(typed.value.replace(/^\s*£/, ''), bench.figures[bench.asked]!),
  )
  const verdict = computed<PredictionVerdict | null>(() =>
    isOn.value && predicted.value.ok
      ? judgePrediction(predicted.value.value, figures.value[bench.asked]!)
      : null,
  )
  function set(knob: string, value: number): void {
    settings.value = { ...settings.value, [knob]: value }
    typed.value = ''
    isOn.value = false
  }
  function predict(text: string): void {
    typed.value = text
    isOn.value = false
  }
  function switchOn(): void {
    if (predicted.value.ok) isOn.value = true
  }
  return { settings, typed, predicted, isOn, figures, verdict, set, predict, switchOn }
}
