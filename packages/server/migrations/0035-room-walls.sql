-- How many walls a room has: lists count them without reading every survey.
ALTER TABLE room ADD COLUMN IF NOT EXISTS walls INT UNSIGNED AS (JSON_LENGTH(survey, '$.walls')) STORED
