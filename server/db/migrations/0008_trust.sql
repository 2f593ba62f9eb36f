-- Sessions stand at the server, so that they can be ended there. `token` is the hash of what the cookie carries.
CREATE TABLE session (
  id INTEGER PRIMARY KEY,
  token TEXT NOT NULL UNIQUE,
  person_id INTEGER NOT NULL REFERENCES person (id),
  epoch INTEGER NOT NULL,
  started_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  ended_at TEXT,
  device TEXT NOT NULL,
  address TEXT NOT NULL
) STRICT;
CREATE INDEX session_person ON session (person_id, ended_at);

-- Each line of the audit carries the hash of the line before: what is taken out or changed later shows. Lines from before have none.
ALTER TABLE audit ADD COLUMN device TEXT NOT NULL DEFAULT '';
ALTER TABLE audit ADD COLUMN address TEXT NOT NULL DEFAULT '';
ALTER TABLE audit ADD COLUMN chain TEXT NOT NULL DEFAULT '';
CREATE INDEX audit_at ON audit (at);
