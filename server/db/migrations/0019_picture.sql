-- What went wrong in a decided sheet, kind by kind, so that a look at a group over years reads no sheet.
CREATE TABLE decision_slip (
  decision_id INTEGER NOT NULL REFERENCES decision (id),
  code TEXT NOT NULL,
  n INTEGER NOT NULL,
  PRIMARY KEY (decision_id, code)
) STRICT, WITHOUT ROWID;
-- How far each reading lay from what its bay should show: the natural logarithm of their ratio.
CREATE TABLE decision_reading (
  decision_id INTEGER NOT NULL REFERENCES decision (id),
  reading TEXT NOT NULL,
  kind TEXT NOT NULL,
  excess REAL NOT NULL,
  instrument TEXT NOT NULL,
  PRIMARY KEY (decision_id, reading)
) STRICT, WITHOUT ROWID;

CREATE VIEW decided_finding AS
  SELECT d.id AS decision_id,
    CASE WHEN json_extract(f.value, '$.code') = 'notExplained' THEN 'notExplained.' || json_extract(m.value, '$.step')
         WHEN json_extract(f.value, '$.code') = 'band.outside' THEN 'band.' || json_extract(f.value, '$.params.cause')
         ELSE json_extract(f.value, '$.code') END AS code
  FROM decision d
    JOIN (SELECT '$.marked.design' AS part UNION ALL SELECT '$.marked.readings' UNION ALL SELECT '$.marked.work')
    JOIN json_each(d.evidence, part) m
    JOIN json_each(m.value, '$.findings') f
  WHERE json_extract(f.value, '$.seriousness') <> 'note';
CREATE VIEW decided_reading AS
  SELECT d.id AS decision_id, json_extract(r.value, '$.reading') AS reading,
    json_extract(r.value, '$.value') AS value, json_extract(r.value, '$.expected.value') AS expected,
    coalesce(json_extract(a.readings, '$."set:instrument"'), '') AS instrument
  FROM decision d JOIN attempt a ON a.id = d.attempt_id JOIN json_each(d.evidence, '$.marked.readings') r
  WHERE json_extract(r.value, '$.over') = 0;

CREATE TRIGGER decision_told AFTER INSERT ON decision BEGIN
  INSERT OR IGNORE INTO decision_slip (decision_id, code, n)
    SELECT decision_id, code, count(*) FROM decided_finding
        WHERE decision_id = NEW.id AND code IS NOT NULL GROUP BY code;
  INSERT OR IGNORE INTO decision_reading (decision_id, reading, kind, excess, instrument)
    SELECT decision_id, reading, substr(reading, instr(reading, '.') + 1,
      CASE instr(reading, '@') WHEN 0 THEN 99 ELSE instr(reading, '@') - instr(reading, '.') - 1 END),
      ln(value / expected), instrument
    FROM decided_reading WHERE decision_id = NEW.id AND value > 0 AND expected > 0;
END;
INSERT OR IGNORE INTO decision_slip (decision_id, code, n)
  SELECT decision_id, code, count(*) FROM decided_finding WHERE code IS NOT NULL GROUP BY decision_id, code;
INSERT OR IGNORE INTO decision_reading (decision_id, reading, kind, excess, instrument)
  SELECT decision_id, reading, substr(reading, instr(reading, '.') + 1,
    CASE instr(reading, '@') WHEN 0 THEN 99 ELSE instr(reading, '@') - instr(reading, '.') - 1 END),
    ln(value / expected), instrument
  FROM decided_reading WHERE value > 0 AND expected > 0;

-- The starter that was set with a lesson.
ALTER TABLE lesson ADD COLUMN exercise_id INTEGER REFERENCES exercise (id);
