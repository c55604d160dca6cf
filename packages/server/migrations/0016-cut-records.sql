-- Sticks that have been cut: what was cut from them, to which figures, and what they left. A fact that turns out wrong is taken back, not erased.
CREATE TABLE IF NOT EXISTS cut_record (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  record JSON NOT NULL,
  left_offcut CHAR(36) CHARACTER SET ascii NULL,
  from_offcut CHAR(36) CHARACTER SET ascii NULL,
  cut_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  undone_at DATETIME(3) NULL,
  PRIMARY KEY (job_id, id),
  CONSTRAINT record_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
