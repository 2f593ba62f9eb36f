-- A session as it is planned.
CREATE TABLE planned_session (
  id INTEGER PRIMARY KEY,
  -- From its boxes, so that a day is found by an index.
  day TEXT NOT NULL DEFAULT '',
  cohort TEXT NOT NULL DEFAULT '',
  fields TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT;
CREATE INDEX planned_session_day ON planned_session (day);

-- Terms, days on which the centre is closed, and absences.
CREATE TABLE calendar_entry (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('term', 'closed', 'absence')),
  person_id INTEGER REFERENCES person (id),
  from_day TEXT NOT NULL,
  to_day TEXT NOT NULL,
  title TEXT NOT NULL,
  put_by INTEGER NOT NULL REFERENCES person (id),
  put_at TEXT NOT NULL
) STRICT;
CREATE INDEX calendar_entry_days ON calendar_entry (from_day, to_day);
CREATE INDEX calendar_entry_of ON calendar_entry (person_id);

-- A bay was inspected, or its RCD tested; the latest of a kind counts.
CREATE TABLE bay_check (
  id INTEGER PRIMARY KEY,
  bay INTEGER NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('inspection', 'rcd')),
  done_on TEXT NOT NULL,
  due_on TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX bay_check_of ON bay_check (bay, kind, id);
CREATE TRIGGER bay_check_keeps BEFORE UPDATE ON bay_check BEGIN SELECT RAISE(ABORT, 'bay_check is append-only'); END;
CREATE TRIGGER bay_check_stays BEFORE DELETE ON bay_check BEGIN SELECT RAISE(ABORT, 'bay_check is append-only'); END;

-- Drums of cable, and every metre that came or went.
CREATE TABLE drum (
  id INTEGER PRIMARY KEY,
  -- Kind, phases and size, such as `flat-twin-earth 1 2.5`.
  cable TEXT NOT NULL,
  label TEXT NOT NULL,
  -- Pence a metre.
  cost_pence REAL NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT;
CREATE INDEX drum_of ON drum (cable);
CREATE TABLE drum_move (
  id INTEGER PRIMARY KEY,
  drum_id INTEGER NOT NULL REFERENCES drum (id),
  kind TEXT NOT NULL CHECK (kind IN ('bought', 'issued', 'returned', 'waste', 'counted')),
  -- Added to what is on the drum, m; below zero taken from it.
  metres REAL NOT NULL,
  session_id INTEGER REFERENCES planned_session (id),
  note TEXT NOT NULL DEFAULT '',
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX drum_move_of ON drum_move (drum_id, id);
CREATE INDEX drum_move_session ON drum_move (session_id);
CREATE TRIGGER drum_move_keeps BEFORE UPDATE ON drum_move BEGIN SELECT RAISE(ABORT, 'drum_move is append-only'); END;
CREATE TRIGGER drum_move_stays BEFORE DELETE ON drum_move BEGIN SELECT RAISE(ABORT, 'drum_move is append-only'); END;
-- Below so many metres of a cable it is ordered.
CREATE TABLE order_point (
  cable TEXT PRIMARY KEY,
  metres REAL NOT NULL
) STRICT, WITHOUT ROWID;

-- A lesson was given to a group about something; the picture of the group looks before and after it.
CREATE TABLE lesson (
  id INTEGER PRIMARY KEY,
  cohort TEXT NOT NULL,
  day TEXT NOT NULL,
  about TEXT NOT NULL,
  title TEXT NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX lesson_of ON lesson (cohort, day);
