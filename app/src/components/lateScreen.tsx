import type { ComponentType } from 'react';
import { t } from '../text/en/components';
import { fetched, type LatePart } from './latePart';
import { Loading } from './Notice';
import { NotLoaded } from './NotLoaded';
import { Screen } from './Screen';

/**
 * A screen that is a program of its own. While it is on its way, and where it cannot be fetched, the rooms
 * are within reach.
 */
export function lateScreen<Props extends object>(
  fetchIt: () => Promise<ComponentType<Props>>,
): LatePart<Props> {
  return fetched(fetchIt, ({ failed, again }) => (
    <Screen>{failed ? <NotLoaded again={again} /> : <Loading what={t.oneMoment} />}</Screen>
  ));
}
