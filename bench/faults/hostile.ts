import { randomUUID } from 'node:crypto';
import { compileGuide, decide } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { shippedGuide } from '@pause/guide';

/**
 * A member of the group who means harm: sends by hand what an application never would, about other people's
 * finds too.
 */

export const ATTACKS = [
  'no-time',
  'far-ahead',
  'half-a-character',
  'too-large',
  'nonsense',
  'false-name',
  'taken-ids',
  'false-verdict',
  'many-notes',
  'hung-up',
] as const;
export type Attack = (typeof ATTACKS)[number];
/** In words, for the report. */
export const ATTACK_WORDS: Readonly<Record<Attack, string>> = {
  'no-time': 'stamps that tell no time',
  'far-ahead': 'decisions and notes dated year 9999',
  'half-a-character': 'halves of characters and zero bytes',
  'too-large': 'an entry of 900 kB',
  nonsense: '200 entries of nonsense',
  'false-name': 'readings in somebody else’s name',
  'taken-ids': 'ids of other people’s readings, with other content',
  'false-verdict': 'a verdict that was never reached, full of junk',
  'many-notes': '100 notes on one find of somebody else',
  'hung-up': 'hung up in the middle of a request',
};

interface Known {
  readonly find: string;
  readonly kind: string;
  readonly body: { readonly id: string; readonly piece?: string };
}

export class HostileMember {
  private readonly guide = compileGuide(shippedGuide());

  constructor(
    private readonly url: string,
    private readonly cookie: string,
    private readonly id: string,
    private readonly group: string,
  ) {}

  private async ask(path: string, body?: unknown, signal?: AbortSignal): Promise<Record<string, unknown>> {
    const response = await fetch(`${this.url}/api/v1${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { 'content-type': 'application/json', origin: this.url, cookie: this.cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      ...(signal ? { signal } : {}),
    });
    return (await response.json()) as Record<string, unknown>;
  }

  /** @param below a whole number below another. A server that was just killed hears nothing of it. */
  async attack(attack: Attack, below: (most: number) => number): Promise<void> {
    try {
      const { last } = (await this.ask(`/sync/pull?stream=g:${this.group}&after=0&most=1`)) as {
        last: number;
      };
      const page = (await this.ask(
        `/sync/pull?stream=g:${this.group}&after=${below(Math.max(1, last))}&most=50`,
      )) as { entries: Known[] };
      const known = page.entries.filter(({ kind }) => kind === 'readings');
      const some = known[below(Math.max(1, known.length))];
      if (!some) return;
      const entries = this.entries(attack, some, known);
      const going = this.ask(
        '/sync/push',
        { entries },
        attack === 'hung-up' ? AbortSignal.timeout(5 + below(30)) : AbortSignal.timeout(20_000),
      );
      await going;
    } catch {
      // Hung up, or the server is down: the next attack comes.
    }
  }

  private entries(attack: Attack, { find, body: { piece = '' } }: Known, known: readonly Known[]): unknown[] {
    const now = new Date().toISOString();
    const note = (more: object = {}, entry: object = {}) => ({
      find,
      kind: 'edits',
      body: { id: randomUUID(), at: now, by: this.id, field: 'note', value: 'Nothing to see here.', ...more },
      ...entry,
    });
    const reading = (more: object = {}) => ({
      find,
      kind: 'readings',
      body: {
        id: randomUUID(),
        piece,
        character: 'cap.shape',
        value: { kind: 'states', states: ['funnel'] },
        sureness: 'sure',
        by: this.id,
        at: now,
        ...more,
      },
    });
    switch (attack) {
      case 'no-time':
        return ['9999-99-99T99:99:99.999Z-0000-x', '2026-02-31T00:00:00.000Z-0000-x', 'x'].map((stamp) =>
          note({}, { stamp }),
        );
      case 'far-ahead':
        return [
          note({ at: '9999-12-31T23:59:59.999Z' }),
          note({ at: '2099-12-31T23:59:59.999Z' }, { stamp: '2099-12-31T23:59:59.999Z-ffff-x' }),
        ];
      case 'half-a-character':
        return [note({ value: '🍄'.slice(0, 1) }), note({ value: 'a\0b' }), note()];
      case 'too-large':
        return [note({ value: 'x'.repeat(900_000) })];
      case 'nonsense':
        return Array.from(
          { length: 200 },
          (_, n) =>
            [{}, null, { find }, { find, kind: 'readings' }, { kind: 'finds', find, body: [] }][n % 5],
        );
      case 'false-name':
        return known.slice(0, 5).map(() => reading({ by: 'somebody-else' }));
      case 'taken-ids':
        return known.map(({ body: { id } }) => reading({ id, value: { kind: 'states', states: ['bell'] } }));
      case 'false-verdict': {
        const verdict = decide(
          this.guide,
          parseCase(
            {
              guide: { id: this.guide.guide.id },
              kingdom: 'Fungi',
              target: 'boletus-edulis',
              pieces: [],
              readings: [],
              context: {},
            },
            this.guide,
          ),
        );
        return [
          {
            find,
            kind: 'verdicts',
            body: {
              id: randomUUID(),
              at: now,
              verdict: { ...verdict, outcome: 'collect', junk: 'x'.repeat(2000) },
            },
          },
        ];
      }
      case 'many-notes':
        return Array.from({ length: 100 }, () => note());
      case 'hung-up':
        return Array.from({ length: 50 }, () => note());
    }
  }
}
