-- Finished jobs are put away; nothing of them is lost.
ALTER TABLE job ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL
