-- Every decision, occasion, permission and signature in the order in which they were made, each with the hash of
-- the one
-- before. The database seals them itself as they are put in, so that nothing that writes can forget it. Rows from
-- before have none.
CREATE TABLE seal (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL,
  row INTEGER NOT NULL,
  -- SHA-256 of the row, and of the link before with kind, row and content.
  content TEXT NOT NULL,
  chain TEXT NOT NULL,
  UNIQUE (kind, row)
) STRICT;
CREATE TRIGGER seal_keeps BEFORE UPDATE ON seal BEGIN SELECT RAISE(ABORT, 'seal is append-only'); END;
CREATE TRIGGER seal_stays BEFORE DELETE ON seal BEGIN SELECT RAISE(ABORT, 'seal is append-only'); END;

CREATE TRIGGER decision_sealed AFTER INSERT ON decision BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'decision', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1), '') ||
      'decision' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.attempt_id, NEW.by_id, NEW.at, NEW.met, NEW.mark, NEW.out_of,
      NEW.feedback, NEW.evidence, NEW.shown)) AS c);
END;

CREATE TRIGGER occasion_sealed AFTER INSERT ON occasion BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'occasion', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1), '') ||
      'occasion' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.decision_id, NEW.person_id, NEW.criterion, NEW.met)) AS c);
END;

CREATE TRIGGER stage_event_sealed AFTER INSERT ON stage_event BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'stage_event', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'stage_event' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.attempt_id, NEW.act, NEW.by_id, NEW.at, NEW.note)) AS c);
END;

CREATE TRIGGER observation_decision_sealed AFTER INSERT ON observation_decision BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'observation_decision', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain
      FROM seal ORDER BY id DESC LIMIT 1), '') || 'observation_decision' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.observation_id, NEW.by_id, NEW.at, NEW.met, NEW.feedback,
      NEW.evidence)) AS c);
END;

CREATE TRIGGER observation_occasion_sealed AFTER INSERT ON observation_occasion BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'observation_occasion', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain
      FROM seal ORDER BY id DESC LIMIT 1), '') || 'observation_occasion' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.decision_id, NEW.person_id, NEW.criterion, NEW.met)) AS c);
END;

CREATE TRIGGER run_decision_sealed AFTER INSERT ON run_decision BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'run_decision', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'run_decision' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.measurement_id, NEW.by_id, NEW.at, NEW.parts, NEW.reason)) AS c);
END;

CREATE TRIGGER run_occasion_sealed AFTER INSERT ON run_occasion BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'run_occasion', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'run_occasion' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.measurement_id, NEW.person_id, NEW.criterion, NEW.met)) AS c);
END;

CREATE TRIGGER signed_paper_sealed AFTER INSERT ON signed_paper BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'signed_paper', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'signed_paper' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.attempt_id, NEW.kind, NEW.content, NEW.hash, NEW.signed_by,
      NEW.signed_at)) AS c);
END;

CREATE TRIGGER question_asked_sealed AFTER INSERT ON question_asked BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'question_asked', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'question_asked' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.token, NEW.person_id, NEW.by_id, NEW.attempt_id, NEW.code,
      NEW.topic, NEW.wording, NEW.outcome, NEW.prompt, NEW.remark, NEW.asked_at, NEW.received_at)) AS c);
END;

CREATE TRIGGER question_undone_sealed AFTER INSERT ON question_undone BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'question_undone', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'question_undone' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.asked_id, NEW.by_id, NEW.at)) AS c);
END;

CREATE TRIGGER question_occasion_sealed AFTER INSERT ON question_occasion BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'question_occasion', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain
      FROM seal ORDER BY id DESC LIMIT 1), '') || 'question_occasion' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.asked_id, NEW.person_id, NEW.criterion, NEW.met)) AS c);
END;

CREATE TRIGGER behaviour_seen_sealed AFTER INSERT ON behaviour_seen BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'behaviour_seen', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'behaviour_seen' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.person_id, NEW.behaviour, NEW.attempt_id, NEW.note, NEW.by_id,
      NEW.at)) AS c);
END;

CREATE TRIGGER behaviour_undone_sealed AFTER INSERT ON behaviour_undone BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'behaviour_undone', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain
      FROM seal ORDER BY id DESC LIMIT 1), '') || 'behaviour_undone' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.seen_id, NEW.by_id, NEW.at)) AS c);
END;

CREATE TRIGGER account_hand_in_sealed AFTER INSERT ON account_hand_in BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'account_hand_in', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'account_hand_in' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.account_id, NEW.fields, NEW.at)) AS c);
END;

CREATE TRIGGER claim_decision_sealed AFTER INSERT ON claim_decision BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'claim_decision', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'claim_decision' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.hand_in_id, NEW.claim, NEW.person_id, NEW.criterion, NEW.kind,
      NEW.met, NEW.reason, NEW.by_id, NEW.at)) AS c);
END;

CREATE TRIGGER witness_statement_sealed AFTER INSERT ON witness_statement BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'witness_statement', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain
      FROM seal ORDER BY id DESC LIMIT 1), '') || 'witness_statement' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.witness_id, NEW.statement, NEW.at)) AS c);
END;

CREATE TRIGGER second_marking_sealed AFTER INSERT ON second_marking BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'second_marking', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'second_marking' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.decision_id, NEW.by_id, NEW.verdicts, NEW.at)) AS c);
END;

CREATE TRIGGER second_settled_sealed AFTER INSERT ON second_settled BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'second_settled', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'second_settled' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.second_id, NEW.by_id, NEW.how, NEW.stands, NEW.reason, NEW.at)) AS c);
END;

CREATE TRIGGER appeal_sealed AFTER INSERT ON appeal BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'appeal', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1), '') ||
      'appeal' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.id, NEW.decision_id, NEW.by_id, NEW.reason, NEW.at)) AS c);
END;

CREATE TRIGGER appeal_answer_sealed AFTER INSERT ON appeal_answer BEGIN
  INSERT INTO seal (kind, row, content, chain)
  SELECT 'appeal_answer', NEW.rowid, c, nakshi_sha256(coalesce((SELECT chain FROM seal ORDER BY id DESC LIMIT 1),
      '') || 'appeal_answer' || NEW.rowid || c)
  FROM (SELECT nakshi_sha256(json_array(NEW.appeal_id, NEW.by_id, NEW.outcome, NEW.reason, NEW.at)) AS c);
END;
