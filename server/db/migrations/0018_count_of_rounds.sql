-- How many rounds somebody has, and when the last was, is told on every list of players: without looking at the rounds.
ALTER TABLE rounds ADD KEY IF NOT EXISTS rounds_counted (player_id, removed_at, started_at);
