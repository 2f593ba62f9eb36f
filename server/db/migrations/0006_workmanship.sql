-- Containment runs as they are typed, set out and measured.
CREATE TABLE containment_run (
  id INTEGER PRIMARY KEY,
  made_by INTEGER NOT NULL REFERENCES person (id),
  fields TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT NOT NULL
) STRICT;

-- One apprentice's run, measured by an assessor. Closed once it is signed.
CREATE TABLE run_measurement (
  id INTEGER PRIMARY KEY,
  run_id INTEGER NOT NULL REFERENCES containment_run (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  assessor_id INTEGER NOT NULL REFERENCES person (id),
  -- The run as it was when it was measured first.
  run_fields TEXT NOT NULL,
  fields TEXT NOT NULL DEFAULT '{}',
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  closed_at TEXT
) STRICT;

CREATE TRIGGER run_measurement_closed BEFORE UPDATE ON run_measurement WHEN OLD.closed_at IS NOT NULL BEGIN SELECT RAISE(ABORT, 'a closed measurement stays as it is'); END;
CREATE TRIGGER run_measurement_stays BEFORE DELETE ON run_measurement BEGIN SELECT RAISE(ABORT, 'run_measurement is append-only'); END;

-- Inspection of the work of one attempt, item by item, and what was used for it.
CREATE TABLE inspection (
  attempt_id INTEGER PRIMARY KEY REFERENCES attempt (id),
  fields TEXT NOT NULL DEFAULT '{}',
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  saved_by INTEGER REFERENCES person (id)
) STRICT;

-- Pictures by the SHA-256 of their bytes; the same picture is kept once.
CREATE TABLE photo (
  hash TEXT PRIMARY KEY,
  bytes BLOB NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER photo_keeps BEFORE UPDATE ON photo BEGIN SELECT RAISE(ABORT, 'photo is append-only'); END;

-- A round of the inspection trainer: what was marked is kept, what was planted follows from the seed.
CREATE TABLE inspection_round (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  scene TEXT NOT NULL,
  seed INTEGER NOT NULL,
  found TEXT NOT NULL DEFAULT '[]',
  score TEXT,
  started_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;

CREATE TRIGGER inspection_round_closed BEFORE UPDATE ON inspection_round WHEN OLD.ended_at IS NOT NULL BEGIN SELECT RAISE(ABORT, 'a round that has ended stays as it is'); END;
