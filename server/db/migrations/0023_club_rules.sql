-- What a club has settled for itself: its clock, and how much practice is enough. No row: nobody has settled anything.
CREATE TABLE IF NOT EXISTS club_rules (
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  document JSON NOT NULL,
  CONSTRAINT club_rules_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
