import { resultText, type RoundResult } from '../../core/counting/result.ts';

/** "30 points", "1 hit", "> 3 tries". */
export function resultWords(result: RoundResult): string {
  const text = resultText(result);
  const one: Partial<Record<RoundResult['unit'], string>> = {
    points: 'point',
    tries: 'try',
    balls: 'ball',
    lives: 'life',
    clears: 'clear',
    hits: 'hit',
    calls: 'call',
  };
  return `${text} ${text === '1' ? (one[result.unit] ?? result.unit) : result.unit}`;
}
