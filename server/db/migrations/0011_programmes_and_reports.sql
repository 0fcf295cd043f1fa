-- Weeks of practice of one player, one document; whoever changes it says on which version. A deleted one stays.
CREATE TABLE IF NOT EXISTS programmes (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  player_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  version INT NOT NULL,
  document JSON NOT NULL,
  archived_at DATETIME(3) NULL,
  changed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY programmes_of_player (player_id, changed_at),
  CONSTRAINT programmes_club FOREIGN KEY (club_id) REFERENCES clubs (id),
  CONSTRAINT programmes_player FOREIGN KEY (player_id) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What of a programme somebody has ticked off.
CREATE TABLE IF NOT EXISTS programme_ticks (
  programme_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  item_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ticked_at DATETIME(3) NOT NULL,
  PRIMARY KEY (programme_id, item_id),
  CONSTRAINT programme_ticks_programme FOREIGN KEY (programme_id) REFERENCES programmes (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What a coach has written to a player and their parents about a period; the figures are counted when it is read.
CREATE TABLE IF NOT EXISTS reports (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  player_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  written_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  version INT NOT NULL,
  document JSON NOT NULL,
  archived_at DATETIME(3) NULL,
  changed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY reports_of_player (player_id, changed_at),
  CONSTRAINT reports_club FOREIGN KEY (club_id) REFERENCES clubs (id),
  CONSTRAINT reports_player FOREIGN KEY (player_id) REFERENCES people (id),
  CONSTRAINT reports_writer FOREIGN KEY (written_by) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- With a code a player makes a sign-in, once. Only a digest is kept.
CREATE TABLE IF NOT EXISTS sign_in_codes (
  player_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  code_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  expires_at DATETIME(3) NOT NULL,
  UNIQUE KEY sign_in_codes_digest (code_digest),
  CONSTRAINT sign_in_codes_player FOREIGN KEY (player_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
