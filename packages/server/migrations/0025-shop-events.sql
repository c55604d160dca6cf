-- What has happened in the workshop, in the order it was received: only ever added to. The id is made on the device, the number here.
CREATE TABLE IF NOT EXISTS shop_event (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  seq INT NOT NULL,
  id VARCHAR(200) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL,
  content JSON NOT NULL,
  received_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (job_id, seq),
  UNIQUE KEY event_id (job_id, id),
  CONSTRAINT event_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
