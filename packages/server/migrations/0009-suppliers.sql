-- Suppliers on this machine.
CREATE TABLE IF NOT EXISTS supplier (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  url VARCHAR(300) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY supplier_name (name)
) ENGINE = InnoDB
