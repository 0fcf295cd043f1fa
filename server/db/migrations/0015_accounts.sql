-- Halls of a club; a table stands in one of them, or nobody has said in which.
CREATE TABLE IF NOT EXISTS halls (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(60) NOT NULL,
  archived_at DATETIME(3) NULL,
  UNIQUE KEY halls_name (club_id, name),
  CONSTRAINT halls_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE tables
  ADD COLUMN IF NOT EXISTS hall_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE tables
  ADD CONSTRAINT tables_hall FOREIGN KEY IF NOT EXISTS (hall_id) REFERENCES halls (id);

ALTER TABLE people
  -- Looks after the installation: may found further clubs in it.
  ADD COLUMN IF NOT EXISTS keeper BOOLEAN NOT NULL DEFAULT FALSE,
  -- A player whom a coach lets change what coaches entered.
  ADD COLUMN IF NOT EXISTS may_rewrite BOOLEAN NOT NULL DEFAULT FALSE,
  -- A player whose data were erased: the row stays, without a name, under what the club's sums still count.
  ADD COLUMN IF NOT EXISTS erased_at DATETIME(3) NULL;

UPDATE people p JOIN (SELECT id FROM people WHERE role = 'coach' ORDER BY created_at, id LIMIT 1) f ON f.id = p.id
SET p.keeper = TRUE
WHERE NOT EXISTS (SELECT 1 FROM (SELECT id FROM people WHERE keeper) k);

-- A code makes or renews the sign-in of anybody of a club: player or coach.
ALTER TABLE sign_in_codes DROP FOREIGN KEY IF EXISTS sign_in_codes_player;
ALTER TABLE sign_in_codes CHANGE COLUMN IF EXISTS player_id
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
ALTER TABLE sign_in_codes
  ADD CONSTRAINT sign_in_codes_person FOREIGN KEY IF NOT EXISTS (person_id) REFERENCES people (id) ON DELETE CASCADE;

-- Tries to sign in, counted before a password is looked at. Who tries on meanwhile waits longer; nobody is locked out.
DROP TABLE IF EXISTS sign_in_failures;
CREATE TABLE IF NOT EXISTS sign_in_tries (
  subject VARCHAR(255) NOT NULL PRIMARY KEY,
  tries INT NOT NULL,
  -- The try that was let through last.
  granted CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  allowed_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  KEY sign_in_tries_seen (seen_at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Devices on which somebody has signed in before: strangers' tries do not make them wait.
CREATE TABLE IF NOT EXISTS known_devices (
  token_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  PRIMARY KEY (token_digest, person_id),
  KEY known_devices_person (person_id),
  CONSTRAINT known_devices_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
