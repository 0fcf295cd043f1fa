-- Balls that a camera at a pad does not see in their places; told on the lesson's second screen.
ALTER TABLE lesson_screens
  ADD COLUMN IF NOT EXISTS beside JSON NULL AFTER shown;
