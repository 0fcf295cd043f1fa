-- A drill's text is never changed under its scores: another text is another revision.
CREATE TABLE IF NOT EXISTS drill_revisions (
  slug VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT NOT NULL,
  digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  document JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (slug, revision),
  UNIQUE KEY drill_revisions_text (slug, digest)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS rounds (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  player_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  recorded_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  table_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- Which table it was, as balls feel it: rounds of unlike tables are not compared.
  table_fingerprint VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  drill VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT NOT NULL,
  stage INT NOT NULL,
  shots INT NOT NULL,
  started_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  ended_early BOOLEAN NULL,
  recorded_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY rounds_of_player (player_id, drill, started_at),
  KEY rounds_of_club (club_id, ended_at, started_at),
  CONSTRAINT rounds_club FOREIGN KEY (club_id) REFERENCES clubs (id),
  CONSTRAINT rounds_player FOREIGN KEY (player_id) REFERENCES people (id),
  CONSTRAINT rounds_recorder FOREIGN KEY (recorded_by) REFERENCES people (id),
  CONSTRAINT rounds_table FOREIGN KEY (table_id) REFERENCES tables (id),
  CONSTRAINT rounds_drill FOREIGN KEY (drill, revision) REFERENCES drill_revisions (slug, revision)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- An undone attempt stays, so that it can be brought back; among the others a shot of a round is there once.
CREATE TABLE IF NOT EXISTS attempts (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  round_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal INT NOT NULL,
  outcome ENUM('potted', 'missed', 'in-off') NOT NULL,
  landing_x DOUBLE NULL,
  landing_y DOUBLE NULL,
  points INT NOT NULL,
  along DOUBLE NULL,
  across DOUBLE NULL,
  played_at DATETIME(3) NOT NULL,
  recorded_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  undone_at DATETIME(3) NULL,
  standing TINYINT AS (IF(undone_at IS NULL, 1, NULL)) STORED,
  UNIQUE KEY attempts_once (round_id, ordinal, standing),
  CONSTRAINT attempts_round FOREIGN KEY (round_id) REFERENCES rounds (id),
  CONSTRAINT attempts_points CHECK (points >= 0)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What virtual players score, kept by everything that it depends on.
CREATE TABLE IF NOT EXISTS benchmarks (
  drill VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT NOT NULL,
  stage INT NOT NULL,
  table_fingerprint VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  model_version VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  level_version INT NOT NULL,
  document JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (drill, revision, stage, table_fingerprint, model_version, level_version)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
