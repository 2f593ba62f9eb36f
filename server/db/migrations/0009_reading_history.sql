-- Every change of a reading: what stood there, what stands there now, who, when by the server's clock, by which way.
-- A time that a file claims is kept beside it, never instead.
CREATE TABLE reading_change (
  id INTEGER PRIMARY KEY,
  attempt_id INTEGER NOT NULL REFERENCES attempt (id),
  key TEXT NOT NULL,
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  by_id INTEGER REFERENCES person (id),
  at TEXT NOT NULL,
  claimed_at TEXT NOT NULL DEFAULT '',
  via TEXT NOT NULL CHECK (via IN ('typed', 'file', 'instrument'))
) STRICT;
CREATE INDEX reading_change_attempt ON reading_change (attempt_id, key);
CREATE TRIGGER reading_change_keeps BEFORE UPDATE ON reading_change BEGIN SELECT RAISE(ABORT, 'reading_change is append-only'); END;
CREATE TRIGGER reading_change_stays BEFORE DELETE ON reading_change BEGIN SELECT RAISE(ABORT, 'reading_change is append-only'); END;
