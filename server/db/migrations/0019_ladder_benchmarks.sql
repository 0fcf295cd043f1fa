-- A ladder that begins on a higher rung has a benchmark of its own, begun there.
ALTER TABLE benchmarks
  ADD COLUMN IF NOT EXISTS ladder_start INT NOT NULL DEFAULT 0 AFTER stage;
ALTER TABLE benchmarks
  DROP PRIMARY KEY,
  ADD PRIMARY KEY
    (owner, drill, revision, stage, ladder_start, table_fingerprint, model_version, level_version);

ALTER TABLE benchmark_jobs
  ADD COLUMN IF NOT EXISTS ladder_start INT NOT NULL DEFAULT 0 AFTER stage;
ALTER TABLE benchmark_jobs
  DROP INDEX benchmark_jobs_once,
  ADD UNIQUE KEY benchmark_jobs_once
    (owner, drill, revision, stage, ladder_start, table_fingerprint, model_version, level_version);
