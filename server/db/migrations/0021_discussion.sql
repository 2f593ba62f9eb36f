-- A professional discussion of one claim: what the assessor asked, and what was said, as it was said.
CREATE TABLE discussion (
  id INTEGER PRIMARY KEY,
  account_id INTEGER NOT NULL REFERENCES account (id),
  claim TEXT NOT NULL,
  asked TEXT NOT NULL,
  said TEXT NOT NULL,
  minutes INTEGER NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX discussion_of ON discussion (account_id, claim);
CREATE TRIGGER discussion_keeps BEFORE UPDATE ON discussion BEGIN SELECT RAISE(ABORT,
    'discussion is append-only'); END;
CREATE TRIGGER discussion_stays BEFORE DELETE ON discussion BEGIN SELECT RAISE(ABORT,
    'discussion is append-only'); END;
