-- Who sits here has proved it last at this time; a locked session asks again before anything else.
ALTER TABLE session ADD COLUMN proved_at TEXT NOT NULL DEFAULT '';
ALTER TABLE session ADD COLUMN locked_at TEXT;

CREATE TABLE passkey (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  credential TEXT NOT NULL UNIQUE,
  public_key BLOB NOT NULL,
  counter INTEGER NOT NULL,
  transports TEXT NOT NULL,
  name TEXT NOT NULL,
  made_at TEXT NOT NULL,
  used_at TEXT
) STRICT;
CREATE INDEX passkey_of ON passkey (person_id);

-- Groups that somebody of the staff works with, where the centre limits them to their own.
CREATE TABLE staff_group (
  person_id INTEGER NOT NULL REFERENCES person (id),
  cohort TEXT NOT NULL,
  PRIMARY KEY (person_id, cohort)
) STRICT;

-- What the centre's years are over for may be removed: by an administrator, in one act, written into the audit.
CREATE TABLE removing (kind TEXT PRIMARY KEY) STRICT;
DROP TRIGGER prediction_stays;
CREATE TRIGGER prediction_stays BEFORE DELETE ON prediction WHEN NOT EXISTS (SELECT 1 FROM removing)
BEGIN SELECT RAISE(ABORT, 'prediction is append-only'); END;
DROP TRIGGER fault_hunt_stays;
CREATE TRIGGER fault_hunt_stays BEFORE DELETE ON fault_hunt WHEN NOT EXISTS (SELECT 1 FROM removing)
BEGIN SELECT RAISE(ABORT, 'fault_hunt is append-only'); END;

-- The verifier: looks at what was decided, and decides nothing.
ALTER TABLE person ADD COLUMN duty TEXT NOT NULL DEFAULT 'apprentice'
  CHECK (duty IN ('administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'));
UPDATE person SET duty = role;
ALTER TABLE person DROP COLUMN role;
ALTER TABLE person RENAME COLUMN duty TO role;

CREATE INDEX photo_by ON photo (made_by, made_at);

-- The trade says interchanged; searches that were set keep their fault under the new word.
DROP TRIGGER fault_hunt_same;
DROP TRIGGER fault_hunt_closed;
UPDATE fault_hunt SET faults = replace(faults, '"linesExchanged"', '"linesInterchanged"');
CREATE TRIGGER fault_hunt_closed BEFORE UPDATE ON fault_hunt WHEN OLD.ended_at IS NOT NULL
BEGIN SELECT RAISE(ABORT, 'a hunt that has ended stays as it is'); END;
CREATE TRIGGER fault_hunt_same BEFORE UPDATE ON fault_hunt
WHEN NEW.faults <> OLD.faults OR NEW.rig <> OLD.rig OR NEW.person_id <> OLD.person_id
BEGIN SELECT RAISE(ABORT, 'the faults of a hunt stay'); END;
