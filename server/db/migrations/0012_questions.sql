-- Questions of the centre: its own, and those that stand in place of one that came with the product.
CREATE TABLE question (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL UNIQUE COLLATE NOCASE,
  content TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  retired_at TEXT,
  changed_by INTEGER NOT NULL REFERENCES person (id),
  changed_at TEXT NOT NULL
) STRICT;

-- What was asked at the bay, of whom, by whom, in which words, and how it went. Append-only.
CREATE TABLE question_asked (
  id INTEGER PRIMARY KEY,
  -- Made on the device that asked, so that it is put down once however often it is sent.
  token TEXT NOT NULL UNIQUE,
  person_id INTEGER NOT NULL REFERENCES person (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  attempt_id INTEGER REFERENCES attempt (id),
  code TEXT NOT NULL,
  topic TEXT NOT NULL,
  wording TEXT NOT NULL,
  outcome TEXT NOT NULL CHECK (outcome IN ('unaided', 'prompted', 'notYet')),
  -- The prompt that helped; empty where there was none.
  prompt TEXT NOT NULL,
  remark TEXT NOT NULL,
  -- By the device's clock, and when it came in by the server's.
  asked_at TEXT NOT NULL,
  received_at TEXT NOT NULL
) STRICT;
CREATE INDEX question_asked_of ON question_asked (person_id, asked_at);
CREATE INDEX question_asked_on ON question_asked (attempt_id);
CREATE INDEX question_asked_at ON question_asked (asked_at);
CREATE INDEX question_asked_code ON question_asked (code);
CREATE TRIGGER question_asked_keeps BEFORE UPDATE ON question_asked BEGIN SELECT RAISE(ABORT, 'question_asked is append-only'); END;
CREATE TRIGGER question_asked_stays BEFORE DELETE ON question_asked BEGIN SELECT RAISE(ABORT, 'question_asked is append-only'); END;

-- A tap that was a mistake is taken back with a trace.
CREATE TABLE question_undone (
  asked_id INTEGER PRIMARY KEY REFERENCES question_asked (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;

CREATE TABLE question_occasion (
  asked_id INTEGER NOT NULL REFERENCES question_asked (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  criterion TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  PRIMARY KEY (asked_id, criterion)
) STRICT;
CREATE INDEX question_occasion_of ON question_occasion (person_id);

-- Rehearsals: nobody's evidence.
CREATE TABLE question_rehearsed (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  code TEXT NOT NULL,
  rating TEXT NOT NULL CHECK (rating IN ('right', 'half', 'wrong')),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX question_rehearsed_of ON question_rehearsed (person_id, code);
CREATE INDEX question_rehearsed_at ON question_rehearsed (at);

-- The glossary in other languages, filled by the centre.
CREATE TABLE glossary_text (
  language TEXT NOT NULL,
  term TEXT NOT NULL,
  text TEXT NOT NULL,
  PRIMARY KEY (language, term)
) STRICT, WITHOUT ROWID;
CREATE TABLE glossary_language (
  code TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  -- Checked by a speaker, or a sample still to be checked.
  is_checked INTEGER NOT NULL CHECK (is_checked IN (0, 1))
) STRICT, WITHOUT ROWID;
