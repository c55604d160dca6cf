-- Every change that was applied, by the id its sender gave it: one that comes again gets the first answer.
CREATE TABLE IF NOT EXISTS command (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  route VARCHAR(120) NOT NULL,
  device VARCHAR(80) NOT NULL,
  status SMALLINT UNSIGNED NOT NULL,
  answer JSON NULL,
  applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY command_age (applied_at)
) ENGINE = InnoDB
