-- What a crew notes beside the survey: further readings, what is to be measured again, figures two people disagree on.
ALTER TABLE room ADD COLUMN IF NOT EXISTS notes JSON NOT NULL DEFAULT '{}'
