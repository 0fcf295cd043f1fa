-- What one server at a time does for all: whoever holds the lease, as long as it has not run out. A row works across
-- the nodes of a cluster, where locks by name do not.
CREATE TABLE IF NOT EXISTS leases (
  name VARCHAR(100) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  holder CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  until DATETIME(3) NOT NULL
) ENGINE = InnoDB;

-- Another number once a backup was brought back: what servers remember of the club's texts and tables is no longer so.
ALTER TABLE clubs ADD COLUMN IF NOT EXISTS epoch BIGINT NOT NULL DEFAULT 0;

-- The lists of rounds of a day, and the newest of a club, are read in their order.
ALTER TABLE rounds
  ADD KEY IF NOT EXISTS rounds_of_day (club_id, started_at),
  ADD KEY IF NOT EXISTS rounds_of_kind (club_id, drill_owner, drill, revision, stage);
