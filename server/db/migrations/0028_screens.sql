-- The second screen of a lesson: a code that opens it for some hours, and what the coach shows on it.
CREATE TABLE IF NOT EXISTS lesson_screens (
  lesson_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  club_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  code CHAR(6) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  shown JSON NOT NULL,
  expires_at DATETIME(3) NOT NULL,
  UNIQUE KEY lesson_screens_code (code),
  CONSTRAINT lesson_screens_lesson FOREIGN KEY (lesson_id) REFERENCES lessons (id),
  CONSTRAINT lesson_screens_club FOREIGN KEY (club_id) REFERENCES clubs (id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
