import { describe, expect, it } from 'vitest';
import { buildTable } from '../../core/table/table.ts';
import { addBall, firstShot, shotFromLink } from '../table/labShot.ts';
import {
  CONFIDENCE,
  labAddress,
  likeliestPot,
  questionOf,
  settingFrom,
  settingTo,
} from './positionSetting.ts';

const shot = addBall(firstShot(buildTable('pool-9ft')), '7');
const ids = shot.balls.map(({ id }) => id);
const guess = { pot: '2', pocket: 'foot-right' } as const;
const from = (text: string) => settingFrom(new URLSearchParams(text), ids, guess);

describe('what is asked of a position', () => {
  it('is guessed where the address says nothing', () => {
    expect(from('')).toEqual({
      pot: '2',
      pocket: 'foot-right',
      next: ['1'],
      nextPocket: null,
      after: null,
      level: 'team',
      hand: 'right',
      side: true,
    });
  });

  it('comes back from the address it was written to', () => {
    const setting = {
      pot: '1',
      pocket: 'head-left',
      next: ['2', '7'],
      nextPocket: 'middle-left',
      after: null,
      level: 'title',
      hand: 'left',
      side: false,
    } as const;
    expect(from(settingTo(new URLSearchParams('table=x'), setting).toString())).toEqual(setting);
    expect(settingTo(new URLSearchParams('table=x'), setting).get('table')).toBe('x');
  });

  it('never asks for balls that are not there, for one ball twice, or for words that nobody knows', () => {
    expect(from('pot=9&next=9,2&after=12')).toMatchObject({ pot: '2', next: ['1'], after: null });
    expect(from('pot=1&next=1,7')).toMatchObject({ pot: '1', next: ['7'] });
    expect(from('next=1&after=1').after).toBeNull();
    expect(from('next=1&after=7').after).toBe('7');
    expect(from('pocket=side&level=master&hand=both')).toMatchObject({
      pocket: 'foot-right',
      level: 'team',
      hand: 'right',
    });
    // The guessed ball was taken off: another one is asked for.
    expect(settingFrom(new URLSearchParams(), ['cue', '7'], guess).pot).toBe('7');
  });

  it('begins with the likeliest pot', () => {
    const { pot, pocket } = likeliestPot(shot);
    expect(ids).toContain(pot);
    expect(pot).not.toBe('cue');
    expect(pocket).toMatch(/^(head|middle|foot)-(left|right)$/);
  });

  it('is put to the planner with the player’s own errors where they are known, else the level’s', () => {
    const own = { directionDeg: 0.2, speed: 0.1, tip: 0.05, elevationDeg: 1 };
    expect(questionOf(shot, from(''), null, own).error).toBe(own);
    expect(questionOf(shot, from('level=title'), null).error.directionDeg).toBeCloseTo(0.03, 12);
    expect(questionOf(shot, from(''), null).confidence).toBe(CONFIDENCE);
    // Two balls in a row are less likely than one.
    expect(questionOf(shot, from('after=7'), null).confidence).toBeCloseTo(CONFIDENCE * CONFIDENCE, 12);
  });

  it('has a drill’s shot in its address, as it is set', () => {
    const address = labAddress(shot, {
      kind: 'position',
      pot: '1',
      pocket: 'foot-left',
      next: { ball: '2', pocket: 'head-left' },
    });
    const params = new URL(address, 'http://club.example').searchParams;
    expect(settingFrom(params, ids, guess)).toMatchObject({
      pot: '1',
      pocket: 'foot-left',
      next: ['2'],
      nextPocket: 'head-left',
    });
    const read = shotFromLink(params.get('shot') ?? '');
    read?.balls.forEach((ball, i) => {
      expect(ball.id).toBe(shot.balls[i]?.id);
      expect(ball.x).toBeCloseTo(shot.balls[i]?.x ?? NaN, 6);
    });
    expect(read?.balls).toHaveLength(shot.balls.length);
  });
});
