-- How the picture of a round was drawn: those from before 2 were drawn in a manner that is no longer kept.
ALTER TABLE inspection_round ADD COLUMN drawn INTEGER NOT NULL DEFAULT 1;
