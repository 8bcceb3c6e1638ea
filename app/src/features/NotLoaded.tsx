import { Notice } from '../ui';

/** Takes the place of a screen whose program could not be fetched. */
export function NotLoaded({ again }: { readonly again: () => void }) {
  return (
    <Notice
      whole
      title="This screen did not load"
      text="What was told so far is kept. Try again where there is a connection; until then leave the find standing."
      action="Try again"
      onAction={again}
    />
  );
}
