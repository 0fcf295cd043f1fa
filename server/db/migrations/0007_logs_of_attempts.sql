-- Every counting method is scored: an attempt keeps how it was logged and what it came to; a round its result so far,
-- the attempt under way, where its ladder began and the seed of its throws.
ALTER TABLE attempts
  ADD COLUMN IF NOT EXISTS log JSON NULL,
  ADD COLUMN IF NOT EXISTS counted JSON NULL,
  ADD COLUMN IF NOT EXISTS recorded_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NULL,
  ADD COLUMN IF NOT EXISTS changed_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS change_reason VARCHAR(200) NULL,
  -- A second, different entry for a shot: it waits beside the first until the coach settles which one stands.
  ADD COLUMN IF NOT EXISTS contested BOOLEAN NOT NULL DEFAULT FALSE,
  MODIFY COLUMN points DOUBLE NOT NULL,
  MODIFY COLUMN standing TINYINT AS (IF(undone_at IS NULL AND NOT contested, 1, NULL)) STORED;

ALTER TABLE rounds
  DROP COLUMN IF EXISTS shots,
  ADD COLUMN IF NOT EXISTS ladder_start INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS seed INT NOT NULL DEFAULT 1,
  ADD COLUMN IF NOT EXISTS lesson_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS block_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS result JSON NULL,
  ADD COLUMN IF NOT EXISTS under_way JSON NULL,
  ADD COLUMN IF NOT EXISTS under_way_at DATETIME(3) NULL,
  -- What was proposed after it, and whether the coach took it.
  ADD COLUMN IF NOT EXISTS advice JSON NULL,
  ADD KEY IF NOT EXISTS rounds_of_lesson (lesson_id);

-- What an attempt was before it was told otherwise.
CREATE TABLE IF NOT EXISTS attempt_changes (
  attempt_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  changed_at DATETIME(3) NOT NULL,
  changed_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  reason VARCHAR(200) NOT NULL,
  log_before JSON NULL,
  PRIMARY KEY (attempt_id, changed_at),
  CONSTRAINT attempt_changes_attempt FOREIGN KEY (attempt_id) REFERENCES attempts (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
