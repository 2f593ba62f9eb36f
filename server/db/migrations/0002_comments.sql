-- Sentences that assessors have used in feedback; offered again, the most used first.
CREATE TABLE comment (
  id INTEGER PRIMARY KEY,
  text TEXT NOT NULL UNIQUE,
  step TEXT,
  uses INTEGER NOT NULL DEFAULT 1,
  written_by INTEGER NOT NULL REFERENCES person (id),
  last_used_at TEXT NOT NULL
) STRICT;
