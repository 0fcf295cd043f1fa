/** The floors of the house, from the ground up: a folder may import itself and those before it, and no other. */

/** The rooms of core/. */
export const CORE = [
  'math',
  'random',
  'statistics',
  'sound',
  'table',
  'motion',
  'rack',
  'player',
  'shot',
  'calibration',
  'photo',
  'camera',
  'planning',
  'counting',
  'rules',
  'tactics',
  'judgement',
  'records',
  'drill',
  'scoring',
  'virtual',
  'programme',
  'evening',
  'formats',
];

/** The ground of web/, and the rooms on it; what two rooms need moves to the ground, router.tsx puts them together. */
export const WEB_GROUND = [
  'api',
  'words',
  'workers',
  'table',
  'controls',
  'planner',
  'outbox',
  'charts',
  'app',
];
export const WEB_ROOMS = [
  'hall',
  'drills',
  'designer',
  'lesson',
  'scoring',
  'screen',
  'review',
  'players',
  'report',
  'programme',
  'club',
  'lab',
  'trainers',
  'today',
];

/** server/: data, how it is asked for and by whom, one folder a matter, then what speaks HTTP. */
export const SERVER = [
  'threads',
  'db',
  'http',
  'auth',
  'access',
  'clubs',
  'drills',
  'tables',
  'rounds',
  'screens',
  'calls',
  'benchmarks',
  'exports',
  'players',
  'programmes',
  'demo',
  'routes',
];

/** A rule for each folder of a part that forbids the folders of it which it may not import. */
function rulesFor(part, folders, forbiddenTo, more = []) {
  return folders.map((folder) => ({
    files: [`${part}/${folder}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...more,
            {
              // Folders of core/ have some of the same names; it stands below everything.
              group: [
                ...forbiddenTo(folder).map((name) => `../**/${name}/**`),
                ...(part === 'core' ? [] : ['!../**/core/**']),
              ],
              message: `${part}/${folder} may import only what stands below it (see eslint.layers.js).`,
            },
          ].filter(({ group }) => group.some((pattern) => !pattern.startsWith('!'))),
        },
      ],
    },
  }));
}

const above = (folders) => (folder) => folders.slice(folders.indexOf(folder) + 1);

export function layerRules({ core, web, server }) {
  const upstairs = [...WEB_GROUND, ...WEB_ROOMS];
  return [
    ...rulesFor('core', CORE, above(CORE), core),
    ...rulesFor('web', WEB_GROUND, above(upstairs), web),
    ...rulesFor('web', WEB_ROOMS, (room) => WEB_ROOMS.filter((other) => other !== room), web),
    ...rulesFor('server', SERVER, above(SERVER), server),
  ];
}
