-- What money is counted in and which words are used; settings have moved to job_part, the old document stays where it was.
ALTER TABLE job
  ADD COLUMN IF NOT EXISTS currency CHAR(3) CHARACTER SET ascii NULL,
  ADD COLUMN IF NOT EXISTS digits TINYINT UNSIGNED NOT NULL DEFAULT 2,
  ADD COLUMN IF NOT EXISTS vocabulary ENUM('us', 'uk') NULL,
  MODIFY COLUMN settings JSON NULL
