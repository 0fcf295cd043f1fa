-- A round that was not to be counted is put away with a reason, and can be brought back.
ALTER TABLE rounds
  ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;

-- What coaches changed of what is kept: who, when and why. Names stand nowhere in it: they are looked up when it is read,
-- so that whoever is erased is not named here either.
CREATE TABLE IF NOT EXISTS audit (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  action VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  subject VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  subject_id VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- Another one whom it concerns: from whom a round was taken.
  other_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  reason VARCHAR(200) NULL,
  KEY audit_of_club (club_id, at),
  KEY audit_of_subject (subject_id, at),
  CONSTRAINT audit_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Which clubs asked for a benchmark: one that shares it stops it for itself only.
CREATE TABLE IF NOT EXISTS benchmark_askers (
  job_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (job_id, club_id),
  CONSTRAINT benchmark_askers_job FOREIGN KEY (job_id) REFERENCES benchmark_jobs (id) ON DELETE CASCADE
) ENGINE = InnoDB;
INSERT INTO benchmark_askers (job_id, club_id) SELECT j.id, c.id FROM benchmark_jobs j CROSS JOIN clubs c WHERE TRUE
ON DUPLICATE KEY UPDATE job_id = job_id;
