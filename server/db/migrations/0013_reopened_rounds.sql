-- The end that was taken back last: a copy of it that comes late does not end the round again.
ALTER TABLE rounds ADD COLUMN IF NOT EXISTS reopened_end DATETIME(3) NULL;
