import dayjs from 'dayjs';
import type { ProgrammeItem } from '../../core/records/programme.ts';
import type { AnsweredProposal, ProgrammeProposal } from '../../core/records/programmeProposal.ts';

type TitleOf = (drill: string) => string;

/** What it is about, in a few words: "Harbour turn: one stage up". */
export function proposalTitle(
  { kind, drill }: Pick<ProgrammeProposal, 'kind' | 'drill'>,
  titleOf: TitleOf,
): string {
  const name = drill === null ? '' : titleOf(drill);
  switch (kind) {
    case 'up':
      return `${name}: one stage up`;
    case 'back':
      return `${name}: one stage back`;
    case 'spread':
      return `${name}: less often now`;
    case 'swap':
      return `${name}: something else for two weeks`;
    case 'leave':
      return `${name}: leave it for a week`;
    case 'rest':
      return 'A day of rest';
  }
}

/** Why, in a sentence. */
export function proposalReason({ kind, shown }: Pick<ProgrammeProposal, 'kind' | 'shown'>): string {
  const played = shown === null || shown === '' ? '' : `${shown.charAt(0).toUpperCase()}${shown.slice(1)}`;
  switch (kind) {
    case 'up':
    case 'back':
      return `${played}.`;
    case 'spread':
      return `${played}. It sits: to keep it, play it again at growing distances.`;
    case 'swap':
      return 'It has come to a plateau. Something new helps more than more of the same; then it comes again.';
    case 'leave':
      return 'The last rounds go down. A pause often helps more than another round.';
    case 'rest':
      return 'There was practice on at least six of the last seven days.';
  }
}

const dayWords = (day: string) => dayjs(day).format('ddd D MMM');

/** What becomes of its entries, a line each. @param items of the programme as it is */
export function proposalLines(
  { changes }: Pick<ProgrammeProposal, 'changes'>,
  items: readonly ProgrammeItem[],
  titleOf: TitleOf,
): readonly string[] {
  return changes.flatMap(({ item: id, to }) => {
    const item = items.find((each) => each.id === id);
    if (item === undefined) return [];
    const when = dayWords(item.day);
    if (to === null) return [`${when}: taken out`];
    if (to.day !== item.day) return [`${titleOf(item.drill)}: ${when} becomes ${dayWords(to.day)}`];
    if (to.drill !== item.drill) return [`${when}: ${titleOf(to.drill)}, stage ${to.stage}`];
    return [`${when}: stage ${to.stage}`];
  });
}

/** What was answered: "Harbour turn: one stage up. Yes, by Wren, 3 entries". */
export function answerWords(answer: AnsweredProposal, titleOf: TitleOf): string {
  const entries = answer.entries === 1 ? '1 entry' : `${answer.entries} entries`;
  const said = answer.accepted ? `Yes, ${entries} changed` : 'No';
  return `${proposalTitle(answer, titleOf)}. ${said}, by ${answer.by}.`;
}
