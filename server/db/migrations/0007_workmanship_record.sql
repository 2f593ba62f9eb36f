-- What a measured run shows, decided by part when it is closed.
CREATE TABLE run_decision (
  measurement_id INTEGER PRIMARY KEY REFERENCES run_measurement (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL,
  parts TEXT NOT NULL,
  -- Why it was decided otherwise than proposed; empty where it was not.
  reason TEXT NOT NULL
) STRICT;

CREATE TABLE run_occasion (
  id INTEGER PRIMARY KEY,
  measurement_id INTEGER NOT NULL REFERENCES run_decision (measurement_id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  criterion TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1))
) STRICT;

CREATE TRIGGER run_decision_stays BEFORE UPDATE ON run_decision BEGIN SELECT RAISE(ABORT, 'run_decision is append-only'); END;
CREATE TRIGGER run_decision_kept BEFORE DELETE ON run_decision BEGIN SELECT RAISE(ABORT, 'run_decision is append-only'); END;
CREATE TRIGGER run_occasion_stays BEFORE UPDATE ON run_occasion BEGIN SELECT RAISE(ABORT, 'run_occasion is append-only'); END;
CREATE TRIGGER run_occasion_kept BEFORE DELETE ON run_occasion BEGIN SELECT RAISE(ABORT, 'run_occasion is append-only'); END;
