import { render, fireEvent } from '@testing-library/react';
import { Provider } from 'react-redux';
import type { Check } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { guide } from '../../src/deciding/guide';
import { type Answer, AnswerCard } from '../../src/screens/check/AnswerCard';
import { rig } from '../rig';

const AT = '2026-09-14T08:00:00.000Z';
export const find = parseCase(
  {
    guide: { id: 'ostrel' },
    kingdom: 'Fungi',
    target: 'cantharellus-cibarius',
    pieces: [{ id: 'p1', startedAt: AT, purpose: 'decide' }],
    readings: [
      {
        id: 'r1',
        piece: 'p1',
        character: 'hymenophore',
        value: { kind: 'states', states: ['ridges'] },
        sureness: 'sure',
        by: 'mirel',
        at: AT,
      },
    ],
    context: {},
  },
  guide,
);

export let smellless = 0;
/** What the kit notes where a question is skipped. */
export const SKIPPED: Answer = { value: { kind: 'cant-tell' }, sureness: 'guess' };
/**
 * The card of a question.
 *
 * @param onPhone - laid out for one screen
 * @param ways - with what can be done besides answering on show
 */
export function card(character: string, onPhone = false, ways = false) {
  const answers: Answer[] = [];
  const check: Check = {
    character: character as never,
    why: 'brings-nearer',
    seconds: 5,
    damage: 'none',
    skin: [],
    gain: 1,
  };
  render(
    <Provider store={rig().store}>
      <AnswerCard
        check={check}
        target={find.target}
        stages={find.context.stages}
        effects={[]}
        keys={false}
        onAnswer={(a) => answers.push(a)}
        onPass={() => answers.push(SKIPPED)}
        fitted={
          onPhone
            ? { room: { width: 370, height: 428 }, sureness: 'sure', ways, closeWays: () => undefined }
            : undefined
        }
        onCannotSmell={() => {
          smellless += 1;
        }}
      />
    </Provider>,
  );
  return answers;
}

/**
 * The one thing of this role that is called so. Reckoning every name as a screen reader does would take jsdom
 * most of a minute.
 */
export function called(name: string | RegExp, role = 'button'): HTMLElement {
  const all = [
    ...document.querySelectorAll<HTMLElement>(
      role === 'button' ? 'button, [role="button"]' : `[role="${role}"]`,
    ),
  ];
  const those = all.filter((element) => {
    const label = element.getAttribute('aria-label') ?? element.textContent;
    return typeof name === 'string' ? label === name : name.test(label);
  });
  if (those.length !== 1)
    throw new Error(
      `${those.length} of role ${role} called ${String(name)}, among: ` +
        all.map((e) => e.getAttribute('aria-label') ?? e.textContent).join(' | '),
    );
  return those[0] as HTMLElement;
}

export const press = (name: string | RegExp, role = 'button') => fireEvent.click(called(name, role));
