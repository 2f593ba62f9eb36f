CREATE TABLE person (
  id INTEGER PRIMARY KEY,
  number TEXT NOT NULL UNIQUE COLLATE NOCASE,
  name TEXT NOT NULL,
  role TEXT NOT NULL CHECK (role IN ('administrator', 'instructor', 'assessor', 'apprentice', 'technician')),
  cohort TEXT NOT NULL DEFAULT '',
  password_hash TEXT NOT NULL,
  must_change INTEGER NOT NULL CHECK (must_change IN (0, 1)),
  -- Raised when the password changes, so that older sessions end.
  session_epoch INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX person_cohort ON person (cohort);

CREATE TABLE framework (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  document TEXT NOT NULL
) STRICT;

-- The latest row of a key is in force; earlier ones stay to show who chose what, when.
CREATE TABLE policy (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL,
  value TEXT NOT NULL,
  set_by INTEGER REFERENCES person (id),
  set_at TEXT NOT NULL
) STRICT;

CREATE TABLE exercise (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL UNIQUE COLLATE NOCASE,
  document TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('draft', 'set')),
  version INTEGER NOT NULL,
  updated_by INTEGER NOT NULL REFERENCES person (id),
  updated_at TEXT NOT NULL
) STRICT;

CREATE TABLE attempt (
  id INTEGER PRIMARY KEY,
  exercise_id INTEGER NOT NULL REFERENCES exercise (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  variant_index INTEGER NOT NULL,
  bay INTEGER NOT NULL,
  task TEXT NOT NULL,
  stage TEXT NOT NULL CHECK (stage IN ('design', 'dead', 'permission', 'live', 'handedIn', 'decided', 'released')),
  answers TEXT NOT NULL DEFAULT '{}',
  readings TEXT NOT NULL DEFAULT '{}',
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  UNIQUE (exercise_id, person_id)
) STRICT;
CREATE INDEX attempt_person ON attempt (person_id);
CREATE INDEX attempt_stage ON attempt (stage);

-- Everything that happened to an attempt, in order. Permissions carry the name and the reason.
CREATE TABLE stage_event (
  id INTEGER PRIMARY KEY,
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  act TEXT NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX stage_event_attempt ON stage_event (attempt_id, id);

CREATE TABLE marking_draft (
  attempt_id INTEGER PRIMARY KEY REFERENCES attempt (id),
  overrides TEXT NOT NULL,
  feedback TEXT,
  version INTEGER NOT NULL
) STRICT;

-- A later decision on the same attempt replaces an earlier one and leaves it readable.
CREATE TABLE decision (
  id INTEGER PRIMARY KEY,
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  mark INTEGER NOT NULL,
  out_of INTEGER NOT NULL,
  feedback TEXT NOT NULL,
  -- The marks, overrides and criteria as they stood when it was signed.
  evidence TEXT NOT NULL
) STRICT;
CREATE INDEX decision_attempt ON decision (attempt_id, id);

CREATE TABLE occasion (
  id INTEGER PRIMARY KEY,
  decision_id INTEGER NOT NULL REFERENCES decision (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  criterion TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1))
) STRICT;
CREATE INDEX occasion_person ON occasion (person_id);

CREATE TABLE audit (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  by_id INTEGER REFERENCES person (id),
  action TEXT NOT NULL,
  subject TEXT NOT NULL
) STRICT;

CREATE TRIGGER stage_event_keeps BEFORE UPDATE ON stage_event BEGIN SELECT RAISE(ABORT, 'stage_event is append-only'); END;
CREATE TRIGGER stage_event_stays BEFORE DELETE ON stage_event BEGIN SELECT RAISE(ABORT, 'stage_event is append-only'); END;
CREATE TRIGGER decision_keeps BEFORE UPDATE ON decision BEGIN SELECT RAISE(ABORT, 'decision is append-only'); END;
CREATE TRIGGER decision_stays BEFORE DELETE ON decision BEGIN SELECT RAISE(ABORT, 'decision is append-only'); END;
CREATE TRIGGER occasion_keeps BEFORE UPDATE ON occasion BEGIN SELECT RAISE(ABORT, 'occasion is append-only'); END;
CREATE TRIGGER occasion_stays BEFORE DELETE ON occasion BEGIN SELECT RAISE(ABORT, 'occasion is append-only'); END;
CREATE TRIGGER audit_keeps BEFORE UPDATE ON audit BEGIN SELECT RAISE(ABORT, 'audit is append-only'); END;
CREATE TRIGGER audit_stays BEFORE DELETE ON audit BEGIN SELECT RAISE(ABORT, 'audit is append-only'); END;
CREATE TRIGGER policy_keeps BEFORE UPDATE ON policy BEGIN SELECT RAISE(ABORT, 'policy is append-only'); END;
CREATE TRIGGER policy_stays BEFORE DELETE ON policy BEGIN SELECT RAISE(ABORT, 'policy is append-only'); END;
