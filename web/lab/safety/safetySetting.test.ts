import { describe, expect, it } from 'vitest';
import { TABLE_PRESETS } from '../../../core/table/presets.ts';
import { ballsOn, gamesOn, safetySettingFrom, strangeBalls, turnsIn } from './safetySetting.ts';

const settingOf = (query: string, table: keyof typeof TABLE_PRESETS) =>
  safetySettingFrom(new URLSearchParams(query), TABLE_PRESETS[table]);

describe('what is asked of a position', () => {
  it('is the usual game of the table where the address says nothing, or something of another', () => {
    expect(settingOf('', 'pool-9ft')).toMatchObject({ game: 'nine-ball', turn: 'usual', missCalled: false });
    expect(settingOf('game=snooker&turn=a+colour', 'pool-9ft')).toMatchObject({
      game: 'nine-ball',
      turn: 'usual',
    });
    expect(settingOf('', 'eight-7ft').game).toBe('small-table eight-ball');
    expect(settingOf('turn=a+colour&miss=no', 'snooker-12ft')).toMatchObject({
      game: 'snooker',
      turn: 'a colour',
      missCalled: false,
    });
    expect(gamesOn(TABLE_PRESETS['snooker-12ft'])).toEqual(['snooker']);
  });

  it('takes the score of a frame at snooker only, and no nonsense for it', () => {
    expect(settingOf('lead=-27', 'snooker-12ft').lead).toBe(-27);
    expect(settingOf('lead=900', 'snooker-12ft').lead).toBe(147);
    for (const query of ['', 'lead=', 'lead=x', 'lead=1e3']) {
      expect(settingOf(query, 'snooker-12ft').lead).toBeUndefined();
    }
    expect(settingOf('lead=-27', 'pool-9ft').lead).toBeUndefined();
  });

  it('takes what a foul gives in this house, at pool only', () => {
    expect(settingOf('foul=two+visits', 'pool-9ft').foulGives).toEqual({ kind: 'visits', visits: 2 });
    expect(settingOf('foul=nonsense', 'pool-9ft').foulGives).toBeUndefined();
    expect(settingOf('foul=two+visits', 'snooker-12ft').foulGives).toBeUndefined();
  });

  it('says which balls are on', () => {
    expect(ballsOn('nine-ball', 'usual', ['9', '3', '5'])).toEqual(['3']);
    expect(ballsOn('eight-ball', 'usual', ['1', '8', '9'])).toEqual(['1', '9']);
    expect(ballsOn('eight-ball', 'high balls', ['1', '8', '9'])).toEqual(['9']);
    expect(ballsOn('eight-ball', 'the 8', ['1', '8', '9'])).toEqual(['8']);
    expect(ballsOn('snooker', 'usual', ['blue', 'red 2', 'pink'])).toEqual(['red 2']);
    expect(ballsOn('snooker', 'usual', ['pink', 'blue'])).toEqual(['blue']);
    expect(ballsOn('snooker', 'a colour', ['blue', 'red 2'])).toEqual(['blue']);
    for (const game of gamesOn(TABLE_PRESETS['pool-9ft'])) expect(turnsIn(game)[0]).toBe('usual');
  });

  it('knows the balls that are of another game', () => {
    expect(strangeBalls('snooker', ['cue', 'red 12', 'blue', '7'])).toEqual(['7']);
    expect(strangeBalls('nine-ball', ['cue', '9', '15', '16', 'red 1'])).toEqual(['16', 'red 1']);
  });
});
