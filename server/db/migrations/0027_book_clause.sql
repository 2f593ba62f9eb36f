-- Where a rule stands in the centre's own copy, beside the values of its tables.
ALTER TABLE book_value ADD COLUMN clause TEXT;
CREATE TRIGGER book_value_keeps_clause BEFORE UPDATE ON book_value WHEN NEW.clause IS NOT OLD.clause
  BEGIN SELECT RAISE(ABORT, 'book_value is written once'); END;
