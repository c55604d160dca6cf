-- Open jobs, and those put away, each by their newest change.
CREATE INDEX IF NOT EXISTS job_open ON job (deleted_at, archived_at, updated_at)
