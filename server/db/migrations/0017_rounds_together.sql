-- The rounds of a player lie together in the order of their time: a year of somebody is read from a few places of the
-- disk, however many others have played.
ALTER TABLE rounds ADD UNIQUE KEY IF NOT EXISTS rounds_id (id);
ALTER TABLE rounds DROP PRIMARY KEY, ADD PRIMARY KEY (player_id, started_at, id);
ALTER TABLE rounds DROP KEY IF EXISTS rounds_of_period;
