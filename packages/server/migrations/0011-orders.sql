-- Orders: written down before they are sent, so that none is lost; the id is the reference by which a supplier knows a repeat.
CREATE TABLE IF NOT EXISTS supplier_order (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  supplier_id CHAR(36) CHARACTER SET ascii NULL,
  order_lines JSON NOT NULL,
  state ENUM('failed', 'confirmed') NOT NULL DEFAULT 'failed',
  answer VARCHAR(300) NOT NULL DEFAULT '',
  total DOUBLE NOT NULL DEFAULT 0,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY order_of_job (job_id, created_at),
  CONSTRAINT order_job FOREIGN KEY (job_id) REFERENCES job (id),
  CONSTRAINT order_supplier FOREIGN KEY (supplier_id) REFERENCES supplier (id) ON DELETE SET NULL
) ENGINE = InnoDB
