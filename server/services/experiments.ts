import { filmOf } from '#core/bay/behaviour/film'
import { EXPERIMENTS, experiment } from '#words/experiments/experiments'
import type { PredictionBody } from '#schemas/requests'
import type { ExperimentHead, FilmsView, PredictionView } from '#schemas/bay-views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** What can be tried, without what computes it. */
export function listExperiments(_: Context, actor: Person): ExperimentHead[] {
  allow(actor, 'bay.use')
  return EXPERIMENTS.map(({ run: _run, ...head }) => head)
}

export function listPredictions({ repos }: Context, actor: Person): PredictionView[] {
  allow(actor, 'bay.use')
  return repos.predictions.byPerson(actor.id)
}

/** Keeps what was expected, then computes the outcome: it cannot be known before. */
export function predict(
  { repos, now }: Context,
  actor: Person,
  { experiment: code, settings, predicted }: PredictionBody,
): PredictionView {
  allow(actor, 'bay.use')
  const found = experiment(code)
  if (!found) throw new Problem('notFound')
  const kept = Object.fromEntries(
    found.settings.map(({ key, usual, min, max }) => [
      key,
      Math.min(max, Math.max(min, settings[key] ?? usual)),
    ]),
  )
  const { scenes: _scenes, ...computed } = found.run(kept)
  const view = { experiment: code, settings: kept, predicted: predicted.trim(), computed, at: now }
  return { id: repos.predictions.add(actor.id, view), measured: '', ...view }
}

/** The outcome of one's own prediction to be watched; computed anew from its settings. */
export function filmOfPrediction({ repos }: Context, actor: Person, id: number): FilmsView {
  allow(actor, 'bay.use')
  const prediction = repos.predictions.one(actor.id, id)
  const found = prediction && experiment(prediction.experiment)
  if (!found) throw new Problem('notFound')
  const films = found
    .run(prediction.settings)
    .scenes.map(({ name, rig, state, actions, untilS }) => ({
      name,
      rig,
      frames: filmOf(rig, state, actions, untilS),
    }))
  return { prediction: id, films }
}

export function addMeasured({ repos }: Context, actor: Person, id: number, measured: string): void {
  allow(actor, 'bay.use')
  if (!repos.predictions.measure(actor.id, id, measured.trim())) throw new Problem('notFound')
}
