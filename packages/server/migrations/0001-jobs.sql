-- Jobs: settings are one checked document (rules, saw, profiles, stock); rooms have rows of their own.
CREATE TABLE IF NOT EXISTS job (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  name VARCHAR(200) NOT NULL,
  unit ENUM('in', 'mm') NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  settings JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  KEY job_listed (deleted_at, updated_at)
) ENGINE = InnoDB
