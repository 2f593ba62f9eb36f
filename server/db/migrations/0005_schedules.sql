-- When each reading of a sheet came in, by test.
ALTER TABLE attempt ADD COLUMN reading_times TEXT NOT NULL DEFAULT '{}';

-- Test instruments of the centre. A calibration is never changed, a newer one is added.
CREATE TABLE instrument (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL UNIQUE,
  serial TEXT NOT NULL,
  kind TEXT NOT NULL,
  is_retired INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE TABLE calibration (
  id INTEGER PRIMARY KEY,
  instrument_id INTEGER NOT NULL REFERENCES instrument (id),
  done_on TEXT NOT NULL,
  due_on TEXT NOT NULL,
  noted_by INTEGER NOT NULL REFERENCES person (id),
  noted_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER calibration_keeps BEFORE UPDATE ON calibration BEGIN SELECT RAISE(ABORT, 'calibration is append-only'); END;
CREATE TRIGGER calibration_stays BEFORE DELETE ON calibration BEGIN SELECT RAISE(ABORT, 'calibration is append-only'); END;

-- Faults that somebody of the staff has put into a bay, or that a fault-finding exercise was made with. Never told to an apprentice before it is over.
CREATE TABLE fault_hunt (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  -- Null for an apprentice's own practice.
  set_by INTEGER REFERENCES person (id),
  made_at TEXT NOT NULL,
  place TEXT NOT NULL CHECK (place IN ('virtual', 'bay')),
  bay INTEGER,
  title TEXT NOT NULL,
  rig TEXT NOT NULL,
  faults TEXT NOT NULL,
  log TEXT NOT NULL DEFAULT '[]',
  -- How it was marked, when it ended.
  verdict TEXT,
  ended_at TEXT,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TRIGGER fault_hunt_closed BEFORE UPDATE ON fault_hunt WHEN OLD.ended_at IS NOT NULL BEGIN SELECT RAISE(ABORT, 'a hunt that has ended stays as it is'); END;
CREATE TRIGGER fault_hunt_stays BEFORE DELETE ON fault_hunt BEGIN SELECT RAISE(ABORT, 'fault_hunt is append-only'); END;
CREATE TRIGGER fault_hunt_same BEFORE UPDATE ON fault_hunt WHEN NEW.faults <> OLD.faults OR NEW.rig <> OLD.rig OR NEW.person_id <> OLD.person_id BEGIN SELECT RAISE(ABORT, 'the faults of a hunt stay'); END;

-- A record as somebody types it, and its signed versions.
CREATE TABLE paper (
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  kind TEXT NOT NULL CHECK (kind IN ('minor', 'installation')),
  fields TEXT NOT NULL DEFAULT '{}',
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  PRIMARY KEY (attempt_id, kind)
) STRICT;

CREATE TABLE signed_paper (
  id INTEGER PRIMARY KEY,
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  kind TEXT NOT NULL,
  -- The content as it was signed, and its SHA-256.
  content TEXT NOT NULL,
  hash TEXT NOT NULL,
  signed_by INTEGER NOT NULL REFERENCES person (id),
  signed_at TEXT NOT NULL
) STRICT;

CREATE TRIGGER signed_paper_keeps BEFORE UPDATE ON signed_paper BEGIN SELECT RAISE(ABORT, 'signed_paper is append-only'); END;
CREATE TRIGGER signed_paper_stays BEFORE DELETE ON signed_paper BEGIN SELECT RAISE(ABORT, 'signed_paper is append-only'); END;
