-- A rehearsal of a safe isolation: the moves are kept, the story follows from them.
CREATE TABLE isolation_run (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  scenario TEXT NOT NULL,
  seed INTEGER NOT NULL,
  mode TEXT NOT NULL CHECK (mode IN ('guided', 'free', 'assessment')),
  -- The centre's choices when it began.
  policy TEXT NOT NULL,
  moves TEXT NOT NULL DEFAULT '[]',
  state TEXT NOT NULL DEFAULT 'running' CHECK (state IN ('running', 'done')),
  met INTEGER CHECK (met IN (0, 1)),
  started_at TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX isolation_run_person ON isolation_run (person_id, id);

-- A real isolation as an assessor taps it.
CREATE TABLE observation (
  id INTEGER PRIMARY KEY,
  apprentice_id INTEGER NOT NULL REFERENCES person (id),
  assessor_id INTEGER NOT NULL REFERENCES person (id),
  policy TEXT NOT NULL,
  fields TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  state TEXT NOT NULL DEFAULT 'running' CHECK (state IN ('running', 'decided')),
  started_at TEXT NOT NULL,
  saved_at TEXT NOT NULL
) STRICT;
CREATE INDEX observation_apprentice ON observation (apprentice_id, id);

CREATE TABLE observation_decision (
  id INTEGER PRIMARY KEY,
  observation_id INTEGER NOT NULL UNIQUE REFERENCES observation (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  feedback TEXT NOT NULL,
  -- The verdict, the acts and why it was decided otherwise, as they stood.
  evidence TEXT NOT NULL
) STRICT;
CREATE TABLE observation_occasion (
  id INTEGER PRIMARY KEY,
  decision_id INTEGER NOT NULL REFERENCES observation_decision (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  criterion TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1))
) STRICT;
CREATE INDEX observation_occasion_person ON observation_occasion (person_id);

-- A short number of one's own, for signing at a shared tablet.
CREATE TABLE person_pin (
  person_id INTEGER PRIMARY KEY REFERENCES person (id),
  pin_hash TEXT NOT NULL,
  set_at TEXT NOT NULL
) STRICT;

-- Who holds which padlock on which bay. A row is closed once, never changed.
CREATE TABLE bay_lock (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  bay INTEGER NOT NULL,
  device TEXT NOT NULL,
  padlock TEXT NOT NULL,
  reason TEXT NOT NULL,
  on_at TEXT NOT NULL,
  on_by INTEGER NOT NULL REFERENCES person (id),
  off_at TEXT,
  off_by INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX bay_lock_open ON bay_lock (off_at, person_id);

CREATE TABLE permit (
  id INTEGER PRIMARY KEY,
  holder_id INTEGER NOT NULL REFERENCES person (id),
  bay INTEGER NOT NULL,
  scope TEXT NOT NULL,
  from_at TEXT NOT NULL,
  until_at TEXT NOT NULL,
  issued_by INTEGER NOT NULL REFERENCES person (id),
  issued_at TEXT NOT NULL,
  -- The site's side, as typed.
  site_name TEXT NOT NULL,
  returned_at TEXT,
  returned_by INTEGER REFERENCES person (id)
) STRICT;

-- A repeat that a critical breach has booked.
CREATE TABLE repeat_booking (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  observation_id INTEGER NOT NULL REFERENCES observation (id),
  reason TEXT NOT NULL,
  planned_for TEXT NOT NULL,
  bay INTEGER NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL,
  -- The observation that settled it.
  settled_by INTEGER REFERENCES observation (id)
) STRICT;

CREATE TRIGGER observation_decision_keeps BEFORE UPDATE ON observation_decision BEGIN SELECT RAISE(ABORT, 'observation_decision is append-only'); END;
CREATE TRIGGER observation_decision_stays BEFORE DELETE ON observation_decision BEGIN SELECT RAISE(ABORT, 'observation_decision is append-only'); END;
CREATE TRIGGER observation_occasion_keeps BEFORE UPDATE ON observation_occasion BEGIN SELECT RAISE(ABORT, 'observation_occasion is append-only'); END;
CREATE TRIGGER observation_occasion_stays BEFORE DELETE ON observation_occasion BEGIN SELECT RAISE(ABORT, 'observation_occasion is append-only'); END;
CREATE TRIGGER observation_closed BEFORE UPDATE ON observation WHEN OLD.state = 'decided' BEGIN SELECT RAISE(ABORT, 'a decided observation stays as it is'); END;
CREATE TRIGGER bay_lock_keeps BEFORE UPDATE ON bay_lock WHEN OLD.off_at IS NOT NULL OR NEW.person_id <> OLD.person_id OR NEW.on_at <> OLD.on_at BEGIN SELECT RAISE(ABORT, 'bay_lock is closed once'); END;
CREATE TRIGGER bay_lock_stays BEFORE DELETE ON bay_lock BEGIN SELECT RAISE(ABORT, 'bay_lock is append-only'); END;
CREATE TRIGGER permit_keeps BEFORE UPDATE ON permit WHEN OLD.returned_at IS NOT NULL OR NEW.holder_id <> OLD.holder_id OR NEW.scope <> OLD.scope OR NEW.until_at <> OLD.until_at OR NEW.issued_by <> OLD.issued_by BEGIN SELECT RAISE(ABORT, 'a permit is handed back once'); END;
CREATE TRIGGER permit_stays BEFORE DELETE ON permit BEGIN SELECT RAISE(ABORT, 'permit is append-only'); END;
