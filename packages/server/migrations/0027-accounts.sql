-- People of the crew. Removed ones stay as rows, so that what they did keeps a name.
CREATE TABLE IF NOT EXISTS account (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  -- The name while the account lives, so that a name is free again once its account is gone.
  live_name VARCHAR(80) AS (IF(removed_at IS NULL, name, NULL)) STORED,
  role ENUM('lead', 'measurer', 'cutter', 'hanger', 'guest') NOT NULL,
  password VARCHAR(200) CHARACTER SET ascii NOT NULL,
  job_id CHAR(36) CHARACTER SET ascii NULL,
  expires_at DATETIME(3) NULL,
  removed_at DATETIME(3) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY account_name (live_name)
) ENGINE = InnoDB
