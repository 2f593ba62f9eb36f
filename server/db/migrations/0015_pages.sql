-- Pages of drawings, specifications and instructions that an account rests on.
CREATE TABLE page_file (
  hash TEXT PRIMARY KEY,
  bytes BLOB NOT NULL,
  name TEXT NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
CREATE INDEX page_file_by ON page_file (made_by, made_at);
CREATE TRIGGER page_file_keeps BEFORE UPDATE ON page_file BEGIN SELECT RAISE(ABORT, 'page_file is append-only'); END;
