-- The cues of a club and of its players. One that is put away stays, with the breaks that were played with it.
CREATE TABLE IF NOT EXISTS cues (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(40) NOT NULL,
  document JSON NOT NULL,
  archived_at DATETIME(3) NULL,
  UNIQUE KEY cues_name (club_id, name),
  CONSTRAINT cues_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
