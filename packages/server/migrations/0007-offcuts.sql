-- The rack of the crew, across jobs: offcuts and salvaged trim. What is cut up stays as a row, so that its label is never used again.
CREATE TABLE IF NOT EXISTS offcut (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  number INT UNSIGNED NOT NULL AUTO_INCREMENT,
  trim_kind JSON NOT NULL,
  length DOUBLE NOT NULL,
  left_angle DOUBLE NOT NULL DEFAULT 0,
  right_angle DOUBLE NOT NULL DEFAULT 0,
  origin ENUM('offcut', 'salvaged') NOT NULL,
  place VARCHAR(120) NOT NULL DEFAULT '',
  note VARCHAR(300) NOT NULL DEFAULT '',
  damages JSON NOT NULL,
  from_job CHAR(36) CHARACTER SET ascii NULL,
  taken_by CHAR(36) CHARACTER SET ascii NULL,
  gone_at DATETIME(3) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY offcut_number (number),
  KEY offcut_here (gone_at, number)
) ENGINE = InnoDB
