CREATE TABLE IF NOT EXISTS clubs (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  name VARCHAR(80) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Coaches and players. A player without e-mail has no sign-in of their own.
CREATE TABLE IF NOT EXISTS people (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  role ENUM('coach', 'player') NOT NULL,
  name VARCHAR(80) NOT NULL,
  hand ENUM('right', 'left') NOT NULL DEFAULT 'right',
  email VARCHAR(190) NULL,
  password_hash VARCHAR(255) NULL,
  archived_at DATETIME(3) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY people_email (email),
  KEY people_of_club (club_id, role, name),
  CONSTRAINT people_club FOREIGN KEY (club_id) REFERENCES clubs (id),
  CONSTRAINT people_sign_in CHECK ((email IS NULL) = (password_hash IS NULL))
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Only a digest of the cookie is kept: who reads this table cannot sign in with it.
CREATE TABLE IF NOT EXISTS sessions (
  token_digest CHAR(64) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  KEY sessions_expiry (expires_at),
  CONSTRAINT sessions_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS sign_in_failures (
  subject VARCHAR(200) PRIMARY KEY,
  failures INT NOT NULL,
  window_ends_at DATETIME(3) NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS tables (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(60) NOT NULL,
  preset VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY tables_name (club_id, name),
  CONSTRAINT tables_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
