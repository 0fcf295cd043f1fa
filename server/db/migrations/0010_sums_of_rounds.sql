-- What the shots of an ended round add up to, so that a year of a player is read without its shots; rounds from before
-- get theirs when they are first asked for.
ALTER TABLE rounds
  ADD COLUMN IF NOT EXISTS sums JSON NULL,
  -- A player's page reads the rounds of a period in their order.
  ADD KEY IF NOT EXISTS rounds_of_period (player_id, started_at);
