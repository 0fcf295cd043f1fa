-- What players foretold in the trainers, and how well. The position follows from its source (a seed and a difficulty, or
-- a drill's stage); the coach's own answer, locked before the reveal, stands beside it.
CREATE TABLE IF NOT EXISTS calls (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  player_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind VARCHAR(40) NOT NULL,
  preset VARCHAR(20) NOT NULL,
  source LONGTEXT NOT NULL,
  answer LONGTEXT NOT NULL,
  score DOUBLE NOT NULL,
  coach_answer LONGTEXT NULL,
  coach_score DOUBLE NULL,
  called_at DATETIME(3) NOT NULL,
  KEY calls_of_player (player_id, called_at),
  CONSTRAINT calls_player FOREIGN KEY (player_id) REFERENCES people (id),
  CONSTRAINT calls_score CHECK (score BETWEEN 0 AND 1),
  CONSTRAINT calls_coach_score CHECK (coach_score BETWEEN 0 AND 1),
  CONSTRAINT calls_coach CHECK ((coach_answer IS NULL) = (coach_score IS NULL))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
