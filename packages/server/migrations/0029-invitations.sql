-- Invitations to the crew: used once, and only until they expire. Kept as a hash, like sessions.
CREATE TABLE IF NOT EXISTS invitation (
  token_hash BINARY(32) NOT NULL PRIMARY KEY,
  role ENUM('lead', 'measurer', 'cutter', 'hanger', 'guest') NOT NULL,
  job_id CHAR(36) CHARACTER SET ascii NULL,
  invited_by CHAR(36) CHARACTER SET ascii NOT NULL,
  days INT NOT NULL,
  expires_at DATETIME(3) NOT NULL,
  used_at DATETIME(3) NULL
) ENGINE = InnoDB
