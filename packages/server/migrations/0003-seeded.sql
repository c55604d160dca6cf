-- Which demo jobs were ever put in, so that a deleted one does not come back with the next start.
CREATE TABLE IF NOT EXISTS seeded (
  name VARCHAR(100) NOT NULL PRIMARY KEY,
  at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB
