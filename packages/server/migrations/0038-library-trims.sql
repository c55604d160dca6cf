-- Trims of the crew, whatever job they are used in: a whole document each, in the unit and money they were entered in.
CREATE TABLE IF NOT EXISTS library_trim (
  id VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL PRIMARY KEY,
  content JSON NOT NULL,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB
