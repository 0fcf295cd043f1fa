-- A drill's text belongs to the library that ships, or to the club that wrote it: 'library' or the club's id.
ALTER TABLE rounds DROP FOREIGN KEY IF EXISTS rounds_drill;

ALTER TABLE drill_revisions
  ADD COLUMN IF NOT EXISTS owner VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'library' FIRST,
  ADD COLUMN IF NOT EXISTS written_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
-- A text may come back: it is then a revision again.
ALTER TABLE drill_revisions
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (owner, slug, revision),
  DROP INDEX IF EXISTS drill_revisions_text;

ALTER TABLE rounds
  ADD COLUMN IF NOT EXISTS drill_owner VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'library';
ALTER TABLE rounds
  ADD CONSTRAINT rounds_drill_text FOREIGN KEY IF NOT EXISTS (drill_owner, drill, revision)
    REFERENCES drill_revisions (owner, slug, revision);

ALTER TABLE benchmarks
  ADD COLUMN IF NOT EXISTS owner VARCHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'library' FIRST;
ALTER TABLE benchmarks
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (owner, drill, revision, stage, table_fingerprint, model_version, level_version);

-- The drills that clubs wrote themselves. One put away stays, with its rounds, and can be brought back.
CREATE TABLE IF NOT EXISTS club_drills (
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  slug VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  archived_at DATETIME(3) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (club_id, slug),
  CONSTRAINT club_drills_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What somebody wants to find again, by its name: it stays a favourite whatever revision it gets.
CREATE TABLE IF NOT EXISTS favourite_drills (
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  slug VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (person_id, slug),
  CONSTRAINT favourite_drills_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
