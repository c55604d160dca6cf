-- Rooms are known by an id of their job, as in its file: pieces go by it wherever the job is taken.
ALTER TABLE room
  MODIFY COLUMN id VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (job_id, id)
