import { createElement, type ComponentType } from 'react';
import { late } from '../evaluate/late';
import { Notice, Small } from '../ui';

/** A part of a screen that is a program of its own. */
interface LatePart<Props> {
  (props: Props): React.ReactElement;
  /** Fetches it before it is shown. */
  readonly fetchAhead: () => void;
}

/**
 * Fetched when it is first shown; where that fails it says so, and tries again when asked to.
 *
 * @param meanwhile keeps its place, for what is no more than a drawing beside words: there nothing is said either
 */
export function latePart<Props extends object>(fetchIt: () => Promise<ComponentType<Props>>, meanwhile?: ComponentType<Props>): LatePart<Props> {
  const part = late(async () => ({ Part: await fetchIt() }));
  function Late(props: Props) {
    const { program, failed, again } = part.useTry();
    if (program) return createElement(program.Part, props);
    if (meanwhile) return createElement(meanwhile, props);
    return failed
      ? <Notice title="This part did not load" text="What was told so far is kept. Try again where there is a connection." action="Try again" onAction={again} />
      : <Small soft>One moment …</Small>;
  }
  return Object.assign(Late, { fetchAhead: () => void part.load().catch(() => undefined) });
}
