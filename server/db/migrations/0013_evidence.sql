-- What the work of a decision was made of, where a look at a group need not read the whole decision.
ALTER TABLE decision ADD COLUMN shown TEXT;

-- Every version of the unit framework stays, with what became of criteria that a later one no longer has.
CREATE TABLE framework_version (
  id INTEGER PRIMARY KEY,
  document TEXT NOT NULL,
  -- Codes of the version before, and the code that took their place; null: kept in the record, counting for nothing.
  mapping TEXT NOT NULL DEFAULT '{}',
  put_by INTEGER REFERENCES person (id),
  put_at TEXT NOT NULL
) STRICT;
INSERT INTO framework_version (document, put_at) SELECT document, '' FROM framework;
DROP TABLE framework;
CREATE TRIGGER framework_version_keeps BEFORE UPDATE ON framework_version BEGIN SELECT RAISE(ABORT,
    'framework_version is append-only'); END;
CREATE TRIGGER framework_version_stays BEFORE DELETE ON framework_version BEGIN SELECT RAISE(ABORT,
    'framework_version is append-only'); END;

-- A behaviour that somebody of the staff has seen. A tap that was a mistake is taken back with a trace.
CREATE TABLE behaviour_seen (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  behaviour TEXT NOT NULL,
  attempt_id INTEGER REFERENCES attempt (id),
  note TEXT NOT NULL DEFAULT '',
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX behaviour_seen_of ON behaviour_seen (person_id);
CREATE TRIGGER behaviour_seen_keeps BEFORE UPDATE ON behaviour_seen BEGIN SELECT RAISE(ABORT,
    'behaviour_seen is append-only'); END;
CREATE TRIGGER behaviour_seen_stays BEFORE DELETE ON behaviour_seen BEGIN SELECT RAISE(ABORT,
    'behaviour_seen is append-only'); END;
CREATE TABLE behaviour_undone (
  seen_id INTEGER PRIMARY KEY REFERENCES behaviour_seen (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;

-- An account of work elsewhere, as its writer has it now.
CREATE TABLE account (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person (id),
  fields TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  saved_at TEXT,
  begun_at TEXT NOT NULL
) STRICT;
CREATE INDEX account_of ON account (person_id);

-- What was handed in, as it stood then.
CREATE TABLE account_hand_in (
  id INTEGER PRIMARY KEY,
  account_id INTEGER NOT NULL REFERENCES account (id),
  fields TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX account_hand_in_of ON account_hand_in (account_id);
CREATE TRIGGER account_hand_in_keeps BEFORE UPDATE ON account_hand_in BEGIN SELECT RAISE(ABORT,
    'account_hand_in is append-only'); END;
CREATE TRIGGER account_hand_in_stays BEFORE DELETE ON account_hand_in BEGIN SELECT RAISE(ABORT,
    'account_hand_in is append-only'); END;

-- Each claim is accepted or refused with a reason; a later decision on the same claim stands beside the earlier one.
CREATE TABLE claim_decision (
  id INTEGER PRIMARY KEY,
  hand_in_id INTEGER NOT NULL REFERENCES account_hand_in (id),
  claim TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person (id),
  criterion TEXT NOT NULL,
  kind TEXT NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  reason TEXT NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX claim_decision_of ON claim_decision (person_id);
CREATE INDEX claim_decision_on ON claim_decision (hand_in_id);
CREATE TRIGGER claim_decision_keeps BEFORE UPDATE ON claim_decision BEGIN SELECT RAISE(ABORT,
    'claim_decision is append-only'); END;
CREATE TRIGGER claim_decision_stays BEFORE DELETE ON claim_decision BEGIN SELECT RAISE(ABORT,
    'claim_decision is append-only'); END;

-- Somebody who saw the work, asked by a printed code that works once.
CREATE TABLE witness (
  id INTEGER PRIMARY KEY,
  account_id INTEGER NOT NULL REFERENCES account (id),
  name TEXT NOT NULL,
  role TEXT NOT NULL,
  contact TEXT NOT NULL,
  -- Of what is printed; the code itself is kept nowhere.
  code_hash TEXT NOT NULL UNIQUE,
  asked_at TEXT NOT NULL
) STRICT;
CREATE INDEX witness_of ON witness (account_id);
CREATE TABLE witness_statement (
  witness_id INTEGER PRIMARY KEY REFERENCES witness (id),
  statement TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE TRIGGER witness_statement_keeps BEFORE UPDATE ON witness_statement BEGIN SELECT RAISE(ABORT,
    'witness_statement is append-only'); END;
CREATE TRIGGER witness_statement_stays BEFORE DELETE ON witness_statement BEGIN SELECT RAISE(ABORT,
    'witness_statement is append-only'); END;

-- A second assessor judged the same work without seeing the first decision.
CREATE TABLE second_marking (
  id INTEGER PRIMARY KEY,
  decision_id INTEGER NOT NULL REFERENCES decision (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  -- Criteria with met or not yet, and the reason of each.
  verdicts TEXT NOT NULL,
  at TEXT NOT NULL,
  UNIQUE (decision_id, by_id)
) STRICT;
CREATE INDEX second_marking_of ON second_marking (decision_id);
CREATE TRIGGER second_marking_keeps BEFORE UPDATE ON second_marking BEGIN SELECT RAISE(ABORT,
    'second_marking is append-only'); END;
CREATE TRIGGER second_marking_stays BEFORE DELETE ON second_marking BEGIN SELECT RAISE(ABORT,
    'second_marking is append-only'); END;
-- How a difference was settled; both judgements stay.
CREATE TABLE second_settled (
  second_id INTEGER PRIMARY KEY REFERENCES second_marking (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  how TEXT NOT NULL CHECK (how IN ('talk', 'third')),
  stands TEXT NOT NULL CHECK (stands IN ('first', 'second')),
  reason TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;

-- An appeal points to the decision that it is about; its answer is an entry of its own.
CREATE TABLE appeal (
  id INTEGER PRIMARY KEY,
  decision_id INTEGER NOT NULL REFERENCES decision (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  reason TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX appeal_of ON appeal (decision_id);
CREATE TABLE appeal_answer (
  appeal_id INTEGER PRIMARY KEY REFERENCES appeal (id),
  by_id INTEGER NOT NULL REFERENCES person (id),
  outcome TEXT NOT NULL CHECK (outcome IN ('upheld', 'notUpheld')),
  reason TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE TRIGGER appeal_keeps BEFORE UPDATE ON appeal BEGIN SELECT RAISE(ABORT, 'appeal is append-only'); END;
CREATE TRIGGER appeal_stays BEFORE DELETE ON appeal BEGIN SELECT RAISE(ABORT, 'appeal is append-only'); END;
