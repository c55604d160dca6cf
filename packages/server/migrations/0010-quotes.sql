-- The last price list of a supplier for the trim of a job; it stands until a newer one has come in whole.
CREATE TABLE IF NOT EXISTS quote (
  supplier_id CHAR(36) CHARACTER SET ascii NOT NULL,
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  price_lines JSON NOT NULL,
  fetched_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (supplier_id, job_id),
  CONSTRAINT quote_supplier FOREIGN KEY (supplier_id) REFERENCES supplier (id) ON DELETE CASCADE,
  CONSTRAINT quote_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
