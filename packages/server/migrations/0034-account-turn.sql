-- As with jobs: leads are counted under rows that are written.
ALTER TABLE account ADD COLUMN IF NOT EXISTS turn BIGINT UNSIGNED NOT NULL DEFAULT 0
