-- Counted on by whoever is going to change anything of the job: a row that is written keeps two apart on any node, one that is only
-- locked does so on its own.
ALTER TABLE job ADD COLUMN IF NOT EXISTS turn BIGINT UNSIGNED NOT NULL DEFAULT 0
