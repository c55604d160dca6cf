-- What events of the shop log have done to the crew's rack: a remainder put there, a piece of it cut up. Each event does it once.
CREATE TABLE IF NOT EXISTS shop_rack (
  job_id CHAR(36) CHARACTER SET ascii NOT NULL,
  event_id VARCHAR(200) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL,
  offcut_id CHAR(36) CHARACTER SET ascii NOT NULL,
  -- The stretch that was cut out of it, in its own unit; null where it was put there.
  cut_from DOUBLE NULL,
  cut_to DOUBLE NULL,
  undone TINYINT NOT NULL DEFAULT 0,
  PRIMARY KEY (job_id, event_id),
  CONSTRAINT shop_rack_job FOREIGN KEY (job_id) REFERENCES job (id)
) ENGINE = InnoDB
