-- What grows with the years is found by an index.
CREATE INDEX fault_hunt_person ON fault_hunt (person_id, id);
CREATE INDEX fault_hunt_set ON fault_hunt (id) WHERE set_by IS NOT NULL;
CREATE INDEX inspection_round_person ON inspection_round (person_id, id);
CREATE INDEX run_measurement_run ON run_measurement (run_id, id);
CREATE INDEX run_measurement_person ON run_measurement (person_id);
CREATE INDEX run_occasion_person ON run_occasion (person_id, id);
CREATE INDEX signed_paper_attempt ON signed_paper (attempt_id, id);
CREATE INDEX audit_action ON audit (action);
CREATE INDEX occasion_decision ON occasion (decision_id);
CREATE INDEX occasion_criterion ON occasion (criterion);
CREATE INDEX observation_occasion_criterion ON observation_occasion (criterion);
CREATE INDEX run_occasion_criterion ON run_occasion (criterion);
CREATE INDEX question_occasion_criterion ON question_occasion (criterion);
CREATE INDEX claim_decision_criterion ON claim_decision (criterion);
CREATE INDEX decision_at ON decision (at);
CREATE INDEX repeat_open ON repeat_booking (planned_for, id) WHERE settled_by IS NULL;
CREATE INDEX repeat_of ON repeat_booking (person_id);
CREATE INDEX session_begun ON session (started_at);
CREATE INDEX attempt_bay ON attempt (bay);

-- What a sheet comes to and shows, kept with the version that it belongs to: a pile is looked at far more often than
-- its sheets change, and the evidence of a decision fills many pages. Worked out again where it is missing; nothing rests
-- on it.
CREATE TABLE kept_mark (
  attempt_id INTEGER PRIMARY KEY REFERENCES attempt (id),
  -- Of sheet, inspection, draft and framework; of a decision none.
  version TEXT NOT NULL,
  -- The decision that it belongs to; null before one.
  decision_id INTEGER REFERENCES decision (id),
  mark INTEGER NOT NULL,
  out_of INTEGER NOT NULL,
  critical INTEGER NOT NULL,
  overrides INTEGER NOT NULL,
  met INTEGER NOT NULL CHECK (met IN (0, 1)),
  criteria INTEGER NOT NULL,
  unmet INTEGER NOT NULL,
  shown TEXT
) STRICT;
INSERT INTO kept_mark (attempt_id, version, decision_id, mark, out_of, critical, overrides, met, criteria, unmet, shown)
  SELECT d.attempt_id, '', d.id, d.mark, d.out_of,
    coalesce(json_array_length(d.evidence, '$.proposal.critical'), 0),
    coalesce(json_array_length(d.evidence, '$.overrides'), 0), d.met,
    (SELECT count(*) FROM occasion WHERE decision_id = d.id),
    (SELECT count(*) FROM occasion WHERE decision_id = d.id AND met = 0), d.shown
  FROM decision d WHERE d.id = (SELECT max(id) FROM decision WHERE attempt_id = d.attempt_id);
