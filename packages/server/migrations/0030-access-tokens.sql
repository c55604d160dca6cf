-- Access of programs: a token of somebody of the crew, with that role or less. Kept as a hash, like sessions.
CREATE TABLE IF NOT EXISTS access_token (
  token_hash BINARY(32) NOT NULL PRIMARY KEY,
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  account_id CHAR(36) CHARACTER SET ascii NOT NULL,
  name VARCHAR(80) NOT NULL,
  role ENUM('lead', 'measurer', 'cutter', 'hanger') NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  seen_at DATETIME(3) NULL,
  UNIQUE KEY access_token_id (id),
  KEY access_token_account (account_id),
  CONSTRAINT access_token_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB
