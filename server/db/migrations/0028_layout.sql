-- Boards to lay out as an exercise, with the best arrangement that was found when it was set, and what people handed in.
CREATE TABLE layout_task (
  id INTEGER PRIMARY KEY,
  title TEXT NOT NULL,
  cohort TEXT NOT NULL,
  exercise_id INTEGER NOT NULL REFERENCES exercise (id),
  document TEXT NOT NULL,
  set_by INTEGER NOT NULL REFERENCES person (id),
  set_at TEXT NOT NULL,
  withdrawn_at TEXT
) STRICT;
CREATE INDEX layout_task_cohort ON layout_task (cohort) WHERE withdrawn_at IS NULL;

CREATE TABLE layout_try (
  id INTEGER PRIMARY KEY,
  task_id INTEGER NOT NULL REFERENCES layout_task (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  seating TEXT NOT NULL,
  percent INTEGER NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX layout_try_task ON layout_try (task_id, person_id);
CREATE INDEX layout_try_person ON layout_try (person_id);
CREATE INDEX layout_try_at ON layout_try (at);
