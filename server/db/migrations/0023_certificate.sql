-- The certificate that a calibration came with; empty for those noted before it was asked for.
ALTER TABLE calibration ADD COLUMN certificate TEXT NOT NULL DEFAULT '';
