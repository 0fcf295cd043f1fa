-- What a player's year comes to at a glance, so that a club's page need not count everybody's anew. It is worked out from
-- the rounds at any time, so it is no part of a backup.
CREATE TABLE IF NOT EXISTS player_overviews (
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  -- Of the player when it was counted: with another round it does not hold any more.
  rounds INT NOT NULL,
  last_round_at DATETIME(3) NULL,
  counted_at DATETIME(3) NOT NULL,
  document JSON NOT NULL,
  CONSTRAINT player_overviews_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
