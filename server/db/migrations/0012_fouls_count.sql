-- Kicks and safeties count a miss or a foul from now on: what was kept of rounds and levels by the count before is
-- worked out anew when it is next asked for.
UPDATE rounds r SET r.result = NULL, r.sums = NULL
WHERE r.ended_at IS NOT NULL AND EXISTS (
  SELECT 1 FROM attempts a WHERE a.round_id = r.id AND JSON_EXISTS(a.counted, '$.kick'));

DELETE b FROM benchmarks b
JOIN drill_revisions d ON d.owner = b.owner AND d.slug = b.drill AND d.revision = b.revision
WHERE JSON_SEARCH(d.document, 'one', 'kick', NULL, '$.scoring.method', '$.stages[*].scoring.method') IS NOT NULL;

DELETE j FROM benchmark_jobs j
JOIN drill_revisions d ON d.owner = j.owner AND d.slug = j.drill AND d.revision = j.revision
WHERE JSON_SEARCH(d.document, 'one', 'kick', NULL, '$.scoring.method', '$.stages[*].scoring.method') IS NOT NULL;
