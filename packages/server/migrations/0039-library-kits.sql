-- Kits of the crew, whatever job they are used in: a whole document each, with the profiles of its parts.
CREATE TABLE IF NOT EXISTS library_kit (
  id VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL PRIMARY KEY,
  content JSON NOT NULL,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB
