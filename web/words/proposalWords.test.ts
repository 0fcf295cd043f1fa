import { describe, expect, it } from 'vitest';
import { PROPOSAL_KINDS } from '../../core/records/programmeProposal.ts';
import type { ProgrammeItem } from '../../core/records/programme.ts';
import { answerWords, proposalLines, proposalReason, proposalTitle } from './proposalWords.ts';

const titleOf = (drill: string) => (drill === 'harbour-turn' ? 'Harbour turn' : 'Anchor drop');
const item = (id: string, day: string): ProgrammeItem => ({
  id,
  day,
  drill: 'harbour-turn',
  stage: 1,
  minutes: 20,
  kind: 'homework',
  note: '',
});

describe('a proposal for the weeks to come', () => {
  it('says what, why, and what becomes of each entry', () => {
    const items = [
      item('a', '2026-12-01'),
      item('b', '2026-12-04'),
      item('c', '2026-12-08'),
      item('d', '2026-12-09'),
    ];
    const changes = [
      { item: 'a', to: { ...item('a', '2026-12-01'), stage: 2 } },
      { item: 'b', to: { ...item('b', '2026-12-04'), drill: 'anchor-drop' } },
      { item: 'c', to: { ...item('c', '2026-12-10') } },
      { item: 'd', to: null },
      { item: 'gone', to: null },
    ];
    expect(proposalLines({ changes }, items, titleOf)).toEqual([
      'Tue 1 Dec: stage 2',
      'Fri 4 Dec: Anchor drop, stage 1',
      'Harbour turn: Tue 8 Dec becomes Thu 10 Dec',
      'Wed 9 Dec: taken out',
    ]);
    expect(proposalReason({ kind: 'up', shown: '80 % done in the last 30 attempts' })).toBe(
      '80 % done in the last 30 attempts.',
    );
  });

  it('has words of its own for every kind', () => {
    const words = PROPOSAL_KINDS.map((kind) => proposalTitle({ kind, drill: 'harbour-turn' }, titleOf));
    expect(new Set(words).size).toBe(PROPOSAL_KINDS.length);
    for (const kind of PROPOSAL_KINDS) expect(proposalReason({ kind, shown: '3 of 5' })).toMatch(/\.$/);
  });

  it('is told with who answered it', () => {
    const answer = { key: 'k', kind: 'up', drill: 'harbour-turn', entries: 1, by: 'Wren', at: '' } as const;
    expect(answerWords({ ...answer, accepted: true }, titleOf)).toBe(
      'Harbour turn: one stage up. Yes, 1 entry changed, by Wren.',
    );
    expect(answerWords({ ...answer, accepted: false }, titleOf)).toBe(
      'Harbour turn: one stage up. No, by Wren.',
    );
  });
});
