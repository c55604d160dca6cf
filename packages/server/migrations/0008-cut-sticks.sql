-- Sticks that have been cut, named by the pieces cut from them: what they left goes on the rack once, however often it is said.
CREATE TABLE IF NOT EXISTS cut_stick (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  stick_hash CHAR(64) CHARACTER SET ascii NOT NULL,
  stick_key TEXT NOT NULL,
  cut_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (job_id, stick_hash),
  CONSTRAINT cut_stick_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
