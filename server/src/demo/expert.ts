import type { CompiledGuide } from '@pause/core';
import { parseEntry, stampOf, type Entry } from '@pause/core/notebook';
import { actorOf } from '../access';
import type { Db } from '../db';
import { push, recordsOf } from '../notebook';

/**
 * A distant expert who is simulated, and says so: it looks at nothing, answers by rule, in place of
 * somebody who would.
 */
export const EXPERT = { id: 'simulated-expert', name: 'Distant expert (simulated)', role: 'member' } as const;
export const EXPERT_ANSWERS_AFTER_SECONDS = 8;

const NOTE = 'Simulated: nobody looked. A real person would answer here.';
/** One in so many characters it cannot tell, so that this can be met too. */
const CANNOT_TELL_EVERY = 6;

/**
 * Answers an ask with what was read first, but for a few that it cannot tell. Every answer has an id that
 * follows from the ask, so that doing it again changes nothing.
 */
export async function answerAsSimulated(
  db: Db,
  guide: CompiledGuide,
  find: string,
  askId: string,
  now: number,
): Promise<void> {
  const record = (await recordsOf(db, [find])).get(find);
  const ask = record?.asks.find((one) => one.id === askId && one.of === EXPERT.id);
  if (!record || !ask) return;
  const at = new Date(now).toISOString();
  const entries = ask.characters.flatMap((character, index): Entry[] => {
    const first = record.readings
      .filter((r) => r.character === character && r.piece === ask.piece && r.blind !== true)
      .at(-1);
    const value =
      !first || index % CANNOT_TELL_EVERY === CANNOT_TELL_EVERY - 1 ? { kind: 'cant-tell' } : first.value;
    const parsed = parseEntry({
      find,
      kind: 'readings',
      stamp: stampOf({ ms: now, count: index, device: 'expert' }),
      body: {
        id: `${askId.slice(0, 50)}-${index}`,
        piece: ask.piece,
        character,
        value,
        sureness: 'sure',
        by: EXPERT.id,
        at,
        blind: true,
        note: NOTE,
      },
    });
    return 'entry' in parsed ? [parsed.entry] : [];
  });
  for (const one of await push(db, await actorOf(db, EXPERT.id), entries, { guide, now })) {
    // The same answer again, made at another moment, is the one that is there.
    if (one.status === 'refused' && one.problem.code !== 'duplicate-id') throw one.problem;
  }
}
