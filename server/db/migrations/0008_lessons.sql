-- A lesson is one document, from its plan to its summary; whoever changes it says on which version. A deleted one stays.
CREATE TABLE IF NOT EXISTS lessons (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- Whoever gives it; of solo practice the student.
  held_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  version INT NOT NULL,
  document JSON NOT NULL,
  day DATE NOT NULL,
  archived_at DATETIME(3) NULL,
  changed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY lessons_of_club (club_id, day),
  CONSTRAINT lessons_club FOREIGN KEY (club_id) REFERENCES clubs (id),
  CONSTRAINT lessons_holder FOREIGN KEY (held_by) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- Who is in a lesson: they may see it.
CREATE TABLE IF NOT EXISTS lesson_people (
  lesson_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (lesson_id, person_id),
  KEY lesson_people_person (person_id),
  CONSTRAINT lesson_people_lesson FOREIGN KEY (lesson_id) REFERENCES lessons (id) ON DELETE CASCADE,
  CONSTRAINT lesson_people_person FOREIGN KEY (person_id) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
