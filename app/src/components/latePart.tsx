import { createElement, type ComponentType } from 'react';
import { late } from '../lib/late';
import { t } from '../text/en/components';
import { Notice } from './Notice';
import { Small } from './Words';

/** A part of a screen that is a program of its own. */
export interface LatePart<Props> {
  (props: Props): React.ReactElement;
  /** Fetches it before it is shown. */
  readonly fetchAhead: () => void;
}

interface Meanwhile {
  readonly failed: boolean;
  readonly again: () => void;
}

export function fetched<Props extends object>(
  fetchIt: () => Promise<ComponentType<Props>>,
  meanwhile: (state: Meanwhile, props: Props) => React.ReactElement,
): LatePart<Props> {
  const part = late(async () => ({ Part: await fetchIt() }));
  function Late(props: Props) {
    const { program, failed, again } = part.useTry();
    return program ? createElement(program.Part, props) : meanwhile({ failed, again }, props);
  }
  return Object.assign(Late, { fetchAhead: () => void part.load().catch(() => undefined) });
}

/**
 * Fetched when it is first shown; where that fails it says so, and tries again when asked to.
 *
 * @param meanwhile keeps its place, for what is no more than a drawing beside words: there nothing is said
 * either
 */
export function latePart<Props extends object>(
  fetchIt: () => Promise<ComponentType<Props>>,
  meanwhile?: ComponentType<Props>,
): LatePart<Props> {
  return fetched(fetchIt, ({ failed, again }, props) => {
    if (meanwhile) return createElement(meanwhile, props);
    return failed ? (
      <Notice
        title={t.thisPartDidNotLoad}
        text={t.yourAnswersAreKeptTry}
        action={t.tryAgain}
        onAction={again}
      />
    ) : (
      <Small soft>{t.oneMoment}</Small>
    );
  });
}
