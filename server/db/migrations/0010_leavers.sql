-- Somebody who has left: disabled, nobody can sign in as them; erased, their name and number are gone and what the records need stays.
ALTER TABLE person ADD COLUMN disabled_at TEXT;
ALTER TABLE person ADD COLUMN erased_at TEXT;
