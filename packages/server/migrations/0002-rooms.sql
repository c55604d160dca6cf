-- Rooms: the survey as read (figures exact) and the texts as typed, by JSON pointer. Deleting only marks: undo restores.
CREATE TABLE IF NOT EXISTS room (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  position INT UNSIGNED NOT NULL,
  name VARCHAR(200) NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  survey JSON NOT NULL,
  typed JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  KEY room_of_job (job_id, deleted_at, position),
  CONSTRAINT room_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
