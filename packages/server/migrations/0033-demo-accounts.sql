-- People of the demo: somebody signs in as one of them by one click; they do not close the house.
ALTER TABLE account ADD COLUMN IF NOT EXISTS demo BOOLEAN NOT NULL DEFAULT FALSE
