-- What an installation held, in the shape of its time. Each part says from which migration on, and up to which, there were
-- rows like these. Words after a colon are filled in by who runs it.

-- since 0001
INSERT INTO clubs (id, name) VALUES (:club, 'Quay Street');
INSERT INTO people (id, club_id, role, name, hand, email, password_hash) VALUES
  (:coach, :club, 'coach', 'Old Coach', 'right', 'coach@quay.example', 'x'),
  (:player, :club, 'player', 'Old Player', 'left', 'player@quay.example', 'x');
INSERT INTO sessions (token_digest, person_id, expires_at) VALUES
  (:coachSession, :coach, '2199-01-01'), (:playerSession, :player, '2199-01-01');
INSERT INTO tables (id, club_id, name, preset) VALUES (:table, :club, 'By the window', 'pool-9ft');

-- since 0001 until 0014
INSERT INTO sign_in_failures (subject, failures, window_ends_at) VALUES ('x', 3, '2026-01-01');

-- since 0002 until 0004
INSERT INTO drill_revisions (slug, revision, digest, document) VALUES ('harbour-turn', 1, :digest, :drill);

-- since 0005
INSERT INTO drill_revisions (owner, slug, revision, digest, document) VALUES ('library', 'harbour-turn', 1, :digest, :drill);

-- since 0002 until 0006
INSERT INTO rounds (id, club_id, player_id, recorded_by, table_id, table_fingerprint, drill, revision, stage, shots,
  started_at, ended_at, ended_early) VALUES
  (:round, :club, :player, :coach, :table, :fingerprint, 'harbour-turn', 1, 1, 10, '2026-11-01 18-00-00', '2026-11-01 18-20-00', 1),
  (:openRound, :club, :player, :coach, :table, :fingerprint, 'harbour-turn', 1, 1, 10, '2026-11-02 18-00-00', NULL, NULL);
INSERT INTO attempts (id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, played_at) VALUES
  (:attempt, :round, 1, 'potted', 1.2, 0.6, 2, 0.01, -0.02, '2026-11-01 18-05-00'),
  (:missed, :round, 2, 'missed', NULL, NULL, 0, NULL, NULL, '2026-11-01 18-07-00');

-- since 0002 until 0004
INSERT INTO benchmarks (drill, revision, stage, table_fingerprint, model_version, level_version, document) VALUES
  ('harbour-turn', 1, 1, :fingerprint, :model, :levels, :oldBenchmark);

-- since 0005 until 0008
INSERT INTO benchmarks (owner, drill, revision, stage, table_fingerprint, model_version, level_version, document) VALUES
  ('library', 'harbour-turn', 1, 1, :fingerprint, :model, :levels, :oldBenchmark);

-- since 0009
INSERT INTO benchmarks (owner, drill, revision, stage, table_fingerprint, model_version, level_version, document) VALUES
  ('library', 'harbour-turn', 1, 1, :fingerprint, :model, :levels, :benchmark);
INSERT INTO benchmark_jobs (id, owner, drill, revision, stage, table_fingerprint, model_version, level_version, setting,
  parts, queued_at) VALUES (:job, 'library', 'frozen-pair', 1, 1, :fingerprint, :model, :levels, :setting, 100, '2026-11-01');
INSERT INTO fixed_bands (club_id, drill, stage, document) VALUES (:club, 'harbour-turn', 1, :bands);

-- since 0004
INSERT INTO table_conditions (id, table_id, document, note, noted_by, noted_at) VALUES
  (:note, :table, :conditions, '', :coach, '2026-11-01 17-00-00');

-- since 0004 until 0004
INSERT INTO table_cards (table_id, revision, card) VALUES (:table, 1, :card);

-- since 0005
INSERT INTO table_cards (table_id, revision, card) VALUES (:table, 1, :card);
INSERT INTO favourite_drills (person_id, slug) VALUES (:player, 'harbour-turn');

-- since 0006
INSERT INTO calls (id, player_id, kind, preset, source, answer, score, called_at) VALUES
  (:call, :player, 'does it pass', 'pool-9ft', :source, :answer, 1, '2026-11-01 19-00-00');

-- since 0007
INSERT INTO rounds (id, club_id, player_id, recorded_by, table_id, table_fingerprint, drill, revision, stage, started_at,
  ended_at, ended_early) VALUES
  (:round, :club, :player, :coach, :table, :fingerprint, 'harbour-turn', 1, 1, '2026-11-01 18-00-00', '2026-11-01 18-20-00', 1),
  (:openRound, :club, :player, :coach, :table, :fingerprint, 'harbour-turn', 1, 1, '2026-11-02 18-00-00', NULL, NULL);
INSERT INTO attempts (id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, played_at) VALUES
  (:attempt, :round, 1, 'potted', 1.2, 0.6, 2, 0.01, -0.02, '2026-11-01 18-05-00'),
  (:missed, :round, 2, 'missed', NULL, NULL, 0, NULL, NULL, '2026-11-01 18-07-00');

-- since 0008
INSERT INTO lessons (id, club_id, held_by, version, document, day) VALUES
  (:lesson, :club, :coach, 3, :lessonDocument, '2026-11-01');
INSERT INTO lesson_people (lesson_id, person_id) VALUES (:lesson, :player);

-- since 0011
INSERT INTO programmes (id, club_id, player_id, version, document) VALUES (:programme, :club, :player, 1, :programmeDocument);
INSERT INTO reports (id, club_id, player_id, written_by, version, document) VALUES
  (:report, :club, :player, :coach, 1, :reportDocument);

-- since 0011 until 0014
INSERT INTO sign_in_codes (player_id, code_digest, expires_at) VALUES (:player, :codeDigest, '2199-01-01');
