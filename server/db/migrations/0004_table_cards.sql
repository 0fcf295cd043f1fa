-- A table's card is never changed: another card is another revision, and rounds keep the one they were played on.
ALTER TABLE tables
  ADD COLUMN IF NOT EXISTS revision INT NOT NULL DEFAULT 1,
  ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL;

CREATE TABLE IF NOT EXISTS table_cards (
  table_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT NOT NULL,
  card JSON NOT NULL,
  changed_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  changed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (table_id, revision),
  CONSTRAINT table_cards_table FOREIGN KEY (table_id) REFERENCES tables (id),
  CONSTRAINT table_cards_person FOREIGN KEY (changed_by) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Tables from before had nothing but their kind.
INSERT IGNORE INTO table_cards (table_id, revision, card, changed_at)
SELECT id, 1, JSON_OBJECT(
    'preset', preset, 'ballSet', 'standard', 'clothSpeed', 'medium', 'clothAge', 'played in', 'cushions', 'ordinary',
    'pockets', 'ordinary', 'measured', JSON_ARRAY(),
    'room', JSON_OBJECT('head', NULL, 'foot', NULL, 'right', NULL, 'left', NULL)
  ), created_at
FROM tables;

-- What was noted of the conditions. A withdrawn note stays, so that it can be brought back.
CREATE TABLE IF NOT EXISTS table_conditions (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY,
  table_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  document JSON NOT NULL,
  note VARCHAR(300) NOT NULL,
  noted_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  noted_at DATETIME(3) NOT NULL,
  recorded_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  withdrawn_at DATETIME(3) NULL,
  KEY table_conditions_of_table (table_id, noted_at),
  CONSTRAINT table_conditions_table FOREIGN KEY (table_id) REFERENCES tables (id),
  CONSTRAINT table_conditions_person FOREIGN KEY (noted_by) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

ALTER TABLE rounds
  ADD COLUMN IF NOT EXISTS table_revision INT NOT NULL DEFAULT 1,
  ADD COLUMN IF NOT EXISTS conditions_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  MODIFY COLUMN table_fingerprint VARCHAR(500) CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
ALTER TABLE rounds
  ADD CONSTRAINT rounds_card FOREIGN KEY IF NOT EXISTS (table_id, table_revision)
    REFERENCES table_cards (table_id, revision),
  ADD CONSTRAINT rounds_conditions FOREIGN KEY IF NOT EXISTS (conditions_id) REFERENCES table_conditions (id);

ALTER TABLE benchmarks
  MODIFY COLUMN table_fingerprint VARCHAR(500) CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
