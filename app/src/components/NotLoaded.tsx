import { t } from '../text/en/components';
import { Notice } from '.';

/** Takes the place of a screen whose program could not be fetched. */
export function NotLoaded({ again }: { readonly again: () => void }) {
  return (
    <Notice
      whole
      title={t.thisScreenDidNotLoad}
      text={t.yourAnswersAreKeptTryAgain}
      action={t.tryAgain}
      onAction={again}
    />
  );
}
