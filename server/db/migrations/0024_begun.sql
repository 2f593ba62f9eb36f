-- When the first thing was typed into a task; null for what was begun before it was kept.
ALTER TABLE attempt ADD COLUMN begun_at TEXT;
