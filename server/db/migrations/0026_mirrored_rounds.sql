-- A drill can be set in a mirror along the table, for the other hand.
ALTER TABLE rounds
  ADD COLUMN IF NOT EXISTS mirrored TINYINT(1) NOT NULL DEFAULT 0 AFTER seed;
