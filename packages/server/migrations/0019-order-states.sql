-- An order on its way is neither failed nor confirmed.
ALTER TABLE supplier_order MODIFY COLUMN state ENUM('failed', 'confirmed', 'sending') NOT NULL DEFAULT 'sending'
