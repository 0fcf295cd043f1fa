import { expect, it } from 'vitest';
import { kickSettingFrom, wishOf } from './kickSetting.ts';

it('a kick is asked as the address says, as far as these balls allow it', () => {
  const from = (text: string) => kickSettingFrom(new URLSearchParams(text), ['cue', '1', '2']);
  expect(from('')).toEqual({ target: '1', side: 'either', cushions: '3', level: 'team' });
  expect(from('target=2&side=left&cushions=1&level=title')).toEqual({
    target: '2',
    side: 'left',
    cushions: '1',
    level: 'title',
  });
  expect(from('target=cue&side=top&cushions=9&level=champion')).toEqual(from(''));
  expect(wishOf(from('side=left'))).toEqual({ targets: ['1'], side: 'left', mostCushions: 3 });
  expect(wishOf(from('')).side).toBeUndefined();
});
