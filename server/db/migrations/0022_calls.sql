-- Somebody at a bay asks an assessor over: for what, since when, and what came of it.
CREATE TABLE bay_call (
  id INTEGER PRIMARY KEY,
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  kind TEXT NOT NULL,
  at TEXT NOT NULL,
  answer TEXT CHECK (answer IN ('seen', 'notYet', 'withdrawn')),
  note TEXT NOT NULL DEFAULT '',
  answered_at TEXT,
  answered_by INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX bay_call_of ON bay_call (attempt_id);
CREATE INDEX bay_call_open ON bay_call (at) WHERE answer IS NULL;
-- The same is asked once until it is answered.
CREATE UNIQUE INDEX bay_call_once ON bay_call (attempt_id, kind) WHERE answer IS NULL;
CREATE TRIGGER bay_call_keeps BEFORE UPDATE ON bay_call WHEN OLD.answer IS NOT NULL OR NEW.kind <> OLD.kind
  OR NEW.attempt_id <> OLD.attempt_id OR NEW.at <> OLD.at BEGIN SELECT RAISE(ABORT, 'bay_call is answered once'); END;
CREATE TRIGGER bay_call_stays BEFORE DELETE ON bay_call BEGIN SELECT RAISE(ABORT, 'bay_call is append-only'); END;
