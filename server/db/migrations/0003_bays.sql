-- A bay as somebody has wired it: of a task, or to practise on.
CREATE TABLE bay (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  key TEXT NOT NULL,
  fields TEXT NOT NULL,
  checks INTEGER NOT NULL DEFAULT 0,
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT NOT NULL,
  UNIQUE (person_id, key)
) STRICT;

-- What somebody expected of an experiment, before it was tried; what was then computed; what they measured.
CREATE TABLE prediction (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  experiment TEXT NOT NULL,
  settings TEXT NOT NULL,
  predicted TEXT NOT NULL,
  computed TEXT NOT NULL,
  measured TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL
) STRICT;
CREATE INDEX prediction_person ON prediction (person_id, id);
-- A prediction is not rewritten once the outcome is known; only the measurement is added.
CREATE TRIGGER prediction_keeps BEFORE UPDATE OF predicted, computed, settings, experiment, person_id, at ON prediction BEGIN SELECT RAISE(ABORT, 'prediction is append-only'); END;
CREATE TRIGGER prediction_stays BEFORE DELETE ON prediction BEGIN SELECT RAISE(ABORT, 'prediction is append-only'); END;
