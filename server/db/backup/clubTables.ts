import { email, ROLES } from '../../../core/records/account.ts';
import { choice, slug, text } from '../../../core/records/fields.ts';
import { HANDS } from '../../../core/records/player.ts';
import { PRESET_IDS } from '../../../core/table/preset.ts';
import { storedCheck } from '../stored.ts';
import type { BackupTable } from './columns.ts';

const OF_CLUB = 'x.club_id = ?';
const person = (column: string) => ({ columns: [column], table: 'people', to: ['id'] });

/** People, tables and drills of a club, each table after those that it refers to. */
export const CLUB_TABLES: readonly BackupTable[] = [
  {
    name: 'people',
    columns: {
      id: 'id',
      club_id: 'id',
      role: 'text',
      name: 'text',
      hand: 'text',
      email: 'text?',
      password_hash: 'text?',
      may_rewrite: 'flag',
      archived_at: 'instant?',
      erased_at: 'instant?',
      created_at: 'instant',
    },
    where: OF_CLUB,
    key: ['id'],
    unique: [['email']],
    documents: { role: choice(ROLES), name: text(80), hand: choice(HANDS), email: email() },
    added: { may_rewrite: 0, erased_at: null },
  },
  {
    name: 'club_rules',
    isLater: true,
    columns: { club_id: 'id', document: 'json' },
    where: OF_CLUB,
    key: ['club_id'],
    documents: { document: storedCheck('clubRules') },
  },
  {
    name: 'halls',
    columns: { id: 'id', club_id: 'id', name: 'text', archived_at: 'instant?' },
    where: OF_CLUB,
    key: ['id'],
    unique: [['name']],
    documents: { name: text(60) },
  },
  {
    name: 'cues',
    isLater: true,
    columns: { id: 'id', club_id: 'id', name: 'text', document: 'json', archived_at: 'instant?' },
    where: OF_CLUB,
    key: ['id'],
    unique: [['name']],
    documents: { name: text(40), document: storedCheck('cue') },
  },
  {
    name: 'tables',
    columns: {
      id: 'id',
      club_id: 'id',
      hall_id: 'id?',
      name: 'text',
      preset: 'text',
      revision: 'count',
      archived_at: 'instant?',
      created_at: 'instant',
    },
    where: OF_CLUB,
    key: ['id'],
    unique: [['name']],
    documents: { name: text(60), preset: choice(PRESET_IDS) },
    references: [{ columns: ['hall_id'], table: 'halls', to: ['id'] }],
    added: { hall_id: null },
  },
  {
    name: 'table_cards',
    columns: { table_id: 'id', revision: 'count', card: 'json', changed_by: 'id?', changed_at: 'instant' },
    join: 'JOIN tables t ON t.id = x.table_id',
    where: 't.club_id = ?',
    key: ['table_id', 'revision'],
    documents: { card: storedCheck('card') },
    references: [{ columns: ['table_id'], table: 'tables', to: ['id'] }, person('changed_by')],
  },
  {
    name: 'table_conditions',
    columns: {
      id: 'id',
      table_id: 'id',
      document: 'json',
      note: 'text',
      noted_by: 'id',
      noted_at: 'instant',
      recorded_at: 'instant',
      withdrawn_at: 'instant?',
    },
    join: 'JOIN tables t ON t.id = x.table_id',
    where: 't.club_id = ?',
    key: ['id'],
    documents: { document: storedCheck('conditions') },
    references: [{ columns: ['table_id'], table: 'tables', to: ['id'] }, person('noted_by')],
  },
  {
    name: 'calibrations',
    isLater: true,
    columns: { id: 'id', table_id: 'id', document: 'json', taken_by: 'id?', taken_at: 'instant' },
    join: 'JOIN tables t ON t.id = x.table_id',
    where: 't.club_id = ?',
    key: ['id'],
    documents: { document: storedCheck('calibration') },
    references: [{ columns: ['table_id'], table: 'tables', to: ['id'] }, person('taken_by')],
  },
  {
    // The club's own texts, and those of the library by which its rounds were played.
    name: 'drill_revisions',
    columns: {
      owner: 'owner',
      slug: 'text',
      revision: 'count',
      digest: 'text',
      document: 'json',
      written_by: 'id?',
      created_at: 'instant',
    },
    where: `(x.owner = ? OR (x.owner = 'library' AND (x.slug, x.revision) IN
      (SELECT drill, revision FROM rounds WHERE club_id = ? AND drill_owner = 'library')))`,
    key: ['owner', 'slug', 'revision'],
    documents: { document: storedCheck('drill'), slug: slug() },
    references: [person('written_by')],
  },
  {
    name: 'club_drills',
    columns: { club_id: 'id', slug: 'text', archived_at: 'instant?', created_at: 'instant' },
    where: OF_CLUB,
    key: ['club_id', 'slug'],
    documents: { slug: slug() },
  },
  {
    name: 'favourite_drills',
    columns: { person_id: 'id', slug: 'text' },
    join: 'JOIN people p ON p.id = x.person_id',
    where: 'p.club_id = ?',
    key: ['person_id', 'slug'],
    documents: { slug: slug() },
    references: [person('person_id')],
  },
  {
    name: 'fixed_bands',
    columns: { club_id: 'id', drill: 'text', stage: 'count', document: 'json' },
    where: OF_CLUB,
    key: ['club_id', 'drill', 'stage'],
    documents: { document: storedCheck('bands'), drill: slug() },
  },
  {
    // What virtual players score where the club has played: ratings need it, and it takes long to compute.
    name: 'benchmarks',
    columns: {
      owner: 'owner',
      drill: 'text',
      revision: 'count',
      stage: 'count',
      ladder_start: 'count',
      table_fingerprint: 'text',
      model_version: 'text',
      level_version: 'count',
      document: 'json',
    },
    where: `(x.owner = ? OR (x.owner = 'library' AND (x.drill, x.revision, x.stage, x.ladder_start, x.table_fingerprint) IN
      (SELECT drill, revision, stage, ladder_start, table_fingerprint FROM rounds WHERE club_id = ? AND drill_owner = 'library')))`,
    key: [
      'owner',
      'drill',
      'revision',
      'stage',
      'ladder_start',
      'table_fingerprint',
      'model_version',
      'level_version',
    ],
    documents: { document: storedCheck('benchmark'), drill: slug() },
    references: [
      {
        columns: ['owner', 'drill', 'revision'],
        table: 'drill_revisions',
        to: ['owner', 'slug', 'revision'],
      },
    ],
    added: { ladder_start: 0 },
  },
];
