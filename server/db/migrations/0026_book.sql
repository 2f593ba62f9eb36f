-- What a centre reads otherwise in its own copy of the regulations: who wrote it down, who held it against the book, and since when it holds.
CREATE TABLE book_value (
  id INTEGER PRIMARY KEY,
  edition TEXT NOT NULL,
  table_key TEXT NOT NULL,
  row_key TEXT NOT NULL,
  column_key TEXT NOT NULL,
  -- As printed; null takes the row out of the table.
  value REAL,
  in_force_from TEXT NOT NULL,
  place TEXT NOT NULL,
  entered_by INTEGER NOT NULL REFERENCES person (id),
  entered_at TEXT NOT NULL,
  checked_by INTEGER REFERENCES person (id),
  checked_at TEXT,
  withdrawn_by INTEGER REFERENCES person (id),
  withdrawn_at TEXT,
  CHECK (checked_by IS NULL OR checked_by <> entered_by)
) STRICT;
CREATE INDEX book_value_standing ON book_value (edition, table_key, row_key, column_key) WHERE withdrawn_at IS NULL;
CREATE TRIGGER book_value_keeps BEFORE UPDATE ON book_value WHEN OLD.withdrawn_at IS NOT NULL OR NEW.value IS NOT OLD.value
  OR NEW.edition <> OLD.edition OR NEW.table_key <> OLD.table_key OR NEW.row_key <> OLD.row_key
  OR NEW.column_key <> OLD.column_key OR NEW.in_force_from <> OLD.in_force_from OR NEW.place <> OLD.place
  BEGIN SELECT RAISE(ABORT, 'book_value is written once'); END;
CREATE TRIGGER book_value_stays BEFORE DELETE ON book_value BEGIN SELECT RAISE(ABORT, 'book_value is append-only'); END;

-- A shipped value that somebody found to be the same in the book; the last time counts.
CREATE TABLE book_agreed (
  edition TEXT NOT NULL,
  table_key TEXT NOT NULL,
  row_key TEXT NOT NULL,
  column_key TEXT NOT NULL,
  value REAL NOT NULL,
  by_id INTEGER NOT NULL REFERENCES person (id),
  at TEXT NOT NULL,
  PRIMARY KEY (edition, table_key, row_key, column_key)
) STRICT, WITHOUT ROWID;

-- A list of values held against the book, as it was signed.
CREATE TABLE book_list (
  id INTEGER PRIMARY KEY,
  edition TEXT NOT NULL,
  document TEXT NOT NULL,
  hash TEXT NOT NULL,
  signed_by INTEGER NOT NULL REFERENCES person (id),
  signed_at TEXT NOT NULL
) STRICT;
CREATE TRIGGER book_list_keeps BEFORE UPDATE ON book_list BEGIN SELECT RAISE(ABORT, 'book_list is signed'); END;
CREATE TRIGGER book_list_stays BEFORE DELETE ON book_list BEGIN SELECT RAISE(ABORT, 'book_list is append-only'); END;
