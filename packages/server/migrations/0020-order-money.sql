-- Sums in smallest coins beside the old decimals.
ALTER TABLE supplier_order
  ADD COLUMN IF NOT EXISTS total_minor BIGINT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS sent_at DATETIME(3) NULL
