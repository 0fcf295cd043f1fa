/** What a drill may ask or forbid beside its task. */
export const CONDITIONS = [
  'no cushion',
  'at least one cushion',
  'no second ball',
  'direct hit',
  'cushion first',
  'nominated pocket',
  'alternating pockets',
  'no side',
  'no plants or doubles',
  'no rest',
] as const;
