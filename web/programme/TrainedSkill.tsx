import { useWords } from '../words/useWords.ts';
import { Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import type { ProgrammeDocument } from '../../core/records/programme.ts';
import { playerProgressQuery } from '../api/players.ts';
import { courseWords } from '../words/courseWords.ts';
import { ratingWords } from '../words/ratingWords.ts';
import { capital } from '../words/vocabulary.ts';

/** As far back as a player's own page looks. */
const YEAR_DAYS = 365;

interface TrainedSkillProps {
  readonly document: ProgrammeDocument;
  readonly drills: readonly ListedDrill[];
}

/** Where the player stands in what the programme trains most, as on their own page. */
export function TrainedSkill({ document, drills }: TrainedSkillProps) {
  const { skillName } = useWords();
  const progress = useQuery(playerProgressQuery(document.playerId, { days: YEAR_DAYS }));
  const minutes = new Map<string, number>();
  for (const item of document.items) {
    const skill = drills.find((entry) => entry.document.slug === item.drill)?.document.skills[0];
    if (skill !== undefined) minutes.set(skill, (minutes.get(skill) ?? 0) + item.minutes);
  }
  const [most] = [...minutes].sort((a, b) => b[1] - a[1]);
  const rating = progress.data?.ratings.find(({ skill }) => skill === most?.[0]);
  if (rating === undefined) return null;
  return (
    <Text size="sm" c="dimmed" data-testid="trained-skill">
      {capital(skillName(rating.skill))}. {ratingWords(rating)} {courseWords(rating)}
    </Text>
  );
}
