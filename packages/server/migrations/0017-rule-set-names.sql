-- Names are the same only when every character is.
ALTER TABLE rule_set MODIFY COLUMN name VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL
