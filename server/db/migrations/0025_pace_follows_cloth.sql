-- The planned pace of a position drill follows the cloth now: benchmarks of single shots on cloth of its own, which were
-- played at the drill's own pace, are played anew. On tables of ordinary cloth nothing has changed.
DELETE FROM benchmarks
WHERE COALESCE(JSON_VALUE(document, '$.wholeRounds'), 'false') NOT IN ('true', '1')
  AND table_fingerprint NOT LIKE '%|0.2|0.01|10|0.94|0.00995|0.108|1.088|0.95|0|0.16|0.0363|0|0|9.81'
  AND table_fingerprint NOT LIKE '%|0.2|0.011|11|0.94|0.00995|0.108|1.088|0.88|0|0.2|0.0323|0|0|9.81'
  AND table_fingerprint NOT LIKE '%|0.18|0.007|9|0.95|0.00995|0.108|1.088|0.98|0|0.14|0.035|0|0|9.81';
DELETE FROM player_overviews;
