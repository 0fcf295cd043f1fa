-- Benchmarks that are computed in the background. A server that works on one holds a lease; when it is gone, another
-- goes on with the parts that are not there yet.
CREATE TABLE IF NOT EXISTS benchmark_jobs (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  owner VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  drill VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT NOT NULL,
  stage INT NOT NULL,
  table_fingerprint VARCHAR(500) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  model_version VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  level_version INT NOT NULL,
  -- The table's card and conditions, of which the fingerprint is the short form.
  setting JSON NOT NULL,
  state ENUM('queued', 'running', 'done', 'cancelled', 'failed') NOT NULL DEFAULT 'queued',
  parts INT NOT NULL,
  done INT NOT NULL DEFAULT 0,
  error VARCHAR(300) NULL,
  lease_owner CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  lease_until DATETIME(3) NULL,
  queued_at DATETIME(3) NOT NULL,
  UNIQUE KEY benchmark_jobs_once
    (owner, drill, revision, stage, table_fingerprint, model_version, level_version),
  KEY benchmark_jobs_waiting (state, queued_at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS benchmark_parts (
  job_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  part INT NOT NULL,
  result JSON NOT NULL,
  PRIMARY KEY (job_id, part),
  CONSTRAINT benchmark_parts_job FOREIGN KEY (job_id) REFERENCES benchmark_jobs (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The results from which the coach of a club counts each level.
CREATE TABLE IF NOT EXISTS fixed_bands (
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  drill VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  stage INT NOT NULL,
  document JSON NOT NULL,
  PRIMARY KEY (club_id, drill, stage),
  CONSTRAINT fixed_bands_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
