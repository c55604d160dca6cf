-- What was given to the saw: the plan as it stood, with the tags of its pieces. Never changed once it is there.
CREATE TABLE IF NOT EXISTS shop_issue (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  revision INT NOT NULL,
  issued_at DATETIME(3) NOT NULL,
  content JSON NOT NULL,
  PRIMARY KEY (job_id, revision),
  CONSTRAINT issue_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
