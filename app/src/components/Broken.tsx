import type { ErrorBoundaryProps } from 'expo-router';
import { t } from '../text/en/components';
import { NotLoaded } from './NotLoaded';
import { Notice, Screen } from '.';

/** What the loader of programs says when one cannot be had. */
const NOT_LOADED = /^Loading module /;

/**
 * Takes the place of a screen that could not be drawn, so that the rooms stay within reach. Nothing is lost:
 * what was recorded is on the device before any screen says so.
 */
export function Broken({ error }: ErrorBoundaryProps) {
  return (
    <Screen>
      {NOT_LOADED.test(error.message) ? (
        <NotLoaded again={again} />
      ) : (
        <Notice
          whole
          title={t.pauseMadeAMistakeHere}
          text={t.yourAnswersAreKeptIf(error.message)}
          action={t.tryAgain}
          onAction={again}
        />
      )}
    </Screen>
  );
}

/** A program that could not be had is asked for once only; the page begins anew. */
function again(): void {
  window.location.reload();
}
