-- All that a list of jobs wants to know of rooms.
CREATE INDEX IF NOT EXISTS room_listed ON room (job_id, deleted_at, walls, updated_at)
