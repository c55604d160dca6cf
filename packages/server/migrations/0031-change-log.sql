-- Who changed what, from where: one row a change, written in its transaction. What happens at the saw has a log of its own.
CREATE TABLE IF NOT EXISTS change_log (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  job_id CHAR(36) CHARACTER SET ascii NULL,
  -- The name as it was: people go, and what they did stays theirs.
  account_id CHAR(36) CHARACTER SET ascii NULL,
  person VARCHAR(80) NULL,
  device VARCHAR(80) NOT NULL,
  act VARCHAR(120) NOT NULL,
  about VARCHAR(200) NOT NULL,
  figures JSON NOT NULL,
  KEY change_log_job (job_id, made_at, id),
  KEY change_log_time (made_at, id)
) ENGINE = InnoDB
