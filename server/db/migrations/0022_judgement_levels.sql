-- Judgement is a level now, not a share: what was summed up before is summed up anew when it is asked for.
DELETE FROM player_overviews;
