-- A place to survey that the centre has made or taken in; those that come with the app are files.
CREATE TABLE site (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL UNIQUE COLLATE NOCASE,
  document TEXT NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT;

-- A survey of one person, as it is written. The site stands with it as it was set; null for a real place.
CREATE TABLE survey (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  site_code TEXT,
  site TEXT,
  fields TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  begun_at TEXT NOT NULL,
  set_by INTEGER REFERENCES person (id),
  UNIQUE (person_id, site_code)
) STRICT;
CREATE INDEX survey_of ON survey (person_id);

-- What the surveyor has done at an invented site; what it shows is told from then on.
CREATE TABLE survey_act (
  survey_id INTEGER NOT NULL REFERENCES survey (id),
  act TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (survey_id, act)
) STRICT, WITHOUT ROWID;

CREATE TABLE survey_hand_in (
  id INTEGER PRIMARY KEY,
  survey_id INTEGER NOT NULL REFERENCES survey (id),
  fields TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX survey_hand_in_of ON survey_hand_in (survey_id);
CREATE TRIGGER survey_hand_in_keeps BEFORE UPDATE ON survey_hand_in BEGIN SELECT RAISE(ABORT,
    'survey_hand_in is append-only'); END;
CREATE TRIGGER survey_hand_in_stays BEFORE DELETE ON survey_hand_in BEGIN SELECT RAISE(ABORT,
    'survey_hand_in is append-only'); END;

-- Decided on as it was handed in, with the marks as they stood; a later decision stands beside an earlier one.
CREATE TABLE survey_decision (
  id INTEGER PRIMARY KEY,
  hand_in_id INTEGER NOT NULL REFERENCES survey_hand_in (id),
  person_id INTEGER NOT NULL REFERENCES person (id),
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  feedback TEXT NOT NULL,
  marks TEXT NOT NULL,
  -- Codes of the criteria that it is an occasion for.
  criteria TEXT NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX survey_decision_on ON survey_decision (hand_in_id);
CREATE INDEX survey_decision_of ON survey_decision (person_id);
CREATE TRIGGER survey_decision_keeps BEFORE UPDATE ON survey_decision BEGIN SELECT RAISE(ABORT,
    'survey_decision is append-only'); END;
CREATE TRIGGER survey_decision_stays BEFORE DELETE ON survey_decision BEGIN SELECT RAISE(ABORT,
    'survey_decision is append-only'); END;

-- An exercise that was made from a survey, and what the survey said of each box then.
CREATE TABLE survey_feed (
  exercise_id INTEGER PRIMARY KEY REFERENCES exercise (id),
  survey_id INTEGER NOT NULL REFERENCES survey (id),
  boxes TEXT NOT NULL,
  made_by INTEGER NOT NULL REFERENCES person (id),
  made_at TEXT NOT NULL
) STRICT;
CREATE INDEX survey_feed_from ON survey_feed (survey_id);
