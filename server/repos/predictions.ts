import type { Database } from 'better-sqlite3'
import type { PredictionView } from '#schemas/bay-views'

interface Row {
  id: number
  experiment: string
  settings: string
  predicted: string
  computed: string
  measured: string
  at: string
}

export function createPredictionsRepo(db: Database) {
  const byPerson = db.prepare<[number], Row>(
    'SELECT id, experiment, settings, predicted, computed, measured, at FROM prediction WHERE person_id = ? ORDER BY id DESC LIMIT 200',
  )
  const one = db.prepare<[number, number], Pick<Row, 'experiment' | 'settings'>>(
    'SELECT experiment, settings FROM prediction WHERE id = ? AND person_id = ?',
  )
  const insert = db.prepare(
    'INSERT INTO prediction (person_id, experiment, settings, predicted, computed, at) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const measure = db.prepare('UPDATE prediction SET measured = ? WHERE id = ? AND person_id = ?')

  return {
    /** The newest first. */
    byPerson: (personId: number): PredictionView[] =>
      byPerson
        .all(personId)
        .map((row) => ({ ...row, settings: JSON.parse(row.settings), computed: JSON.parse(row.computed) })),
    /** What was tried; undefined where the prediction is not this person's. */
    one: (personId: number, id: number): Pick<PredictionView, 'experiment' | 'settings'> | undefined => {
      const row = one.get(id, personId)
      return row && { experiment: row.experiment, settings: JSON.parse(row.settings) }
    },
    add: (
      personId: number,
      { experiment, settings, predicted, computed, at }: Omit<PredictionView, 'id' | 'measured'>,
    ): number =>
      Number(
        insert.run(personId, experiment, JSON.stringify(settings), predicted, JSON.stringify(computed), at)
          .lastInsertRowid,
      ),
    /** False where the prediction is not this person's. */
    measure: (personId: number, id: number, measured: string): boolean =>
      measure.run(measured, id, personId).changes === 1,
  }
}
