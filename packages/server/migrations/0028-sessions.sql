-- Who is signed in, on which device. The cookie is kept as its hash only: whoever reads this table can sign in as nobody.
CREATE TABLE IF NOT EXISTS session (
  token_hash BINARY(32) NOT NULL PRIMARY KEY,
  id CHAR(36) CHARACTER SET ascii NOT NULL,
  account_id CHAR(36) CHARACTER SET ascii NOT NULL,
  device VARCHAR(80) NOT NULL DEFAULT '',
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  seen_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  UNIQUE KEY session_id (id),
  KEY session_account (account_id),
  CONSTRAINT session_account FOREIGN KEY (account_id) REFERENCES account (id)
) ENGINE = InnoDB
