import { type CardId, type PracticeFields, pairCard } from '../../src/practice';

export const answered = (
  card: CardId,
  day: number,
  right = true,
): NonNullable<PracticeFields['answers']>[number] => ({
  card,
  at: new Date(Date.UTC(2026, 3, 1) + day * 86_400_000).toISOString(),
  right,
  sureness: 'sure',
});

export const PAIR = pairCard('agaricus-campestris', 'amanita-virosa');
