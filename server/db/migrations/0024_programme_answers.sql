-- What was proposed for the weeks to come of a programme, and whether somebody said yes; taken back, it is proposed anew.
CREATE TABLE IF NOT EXISTS programme_answers (
  programme_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  answer_key VARCHAR(120) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  accepted BOOLEAN NOT NULL,
  answered_at DATETIME(3) NOT NULL,
  document JSON NOT NULL,
  PRIMARY KEY (programme_id, answer_key),
  CONSTRAINT programme_answers_programme FOREIGN KEY (programme_id) REFERENCES programmes (id) ON DELETE CASCADE,
  CONSTRAINT programme_answers_person FOREIGN KEY (person_id) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
