-- One row once the installation has its first club: whoever writes it first makes that club.
CREATE TABLE IF NOT EXISTS installation (
  id TINYINT PRIMARY KEY,
  claimed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  CONSTRAINT installation_once CHECK (id = 1)
) ENGINE = InnoDB;

INSERT IGNORE INTO installation (id) SELECT 1 FROM clubs LIMIT 1;
