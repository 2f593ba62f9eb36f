-- What is asked next is chosen from the answers alone: they are read from the index.
DROP INDEX question_asked_of;
CREATE INDEX question_answer_of ON question_asked (person_id, asked_at, code, outcome);
