-- What guided shots said of a table, each time: with its date, who played, what was read and what was found.
CREATE TABLE IF NOT EXISTS calibrations (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  table_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  document JSON NOT NULL,
  taken_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  taken_at DATETIME(3) NOT NULL,
  KEY calibrations_of_table (table_id, taken_at),
  CONSTRAINT calibrations_table FOREIGN KEY (table_id) REFERENCES tables (id),
  CONSTRAINT calibrations_person FOREIGN KEY (taken_by) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
