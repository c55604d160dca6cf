-- Saws of the crew, whatever job they stand in; lengths in the unit they were entered in.
CREATE TABLE IF NOT EXISTS crew_saw (
  id VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL PRIMARY KEY,
  unit ENUM('in', 'mm') NOT NULL,
  saw JSON NOT NULL,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB
