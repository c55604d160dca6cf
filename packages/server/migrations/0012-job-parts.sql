-- A job's settings as resources of their own: each line of stock, profile, saw, pin and piece of the rack, the rules, the choices.
CREATE TABLE IF NOT EXISTS job_part (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  kind ENUM('profiles', 'stock', 'saws', 'pins', 'rack', 'rules', 'choices') NOT NULL,
  id VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL,
  position INT UNSIGNED NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  value JSON NOT NULL,
  PRIMARY KEY (job_id, kind, id),
  CONSTRAINT part_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
