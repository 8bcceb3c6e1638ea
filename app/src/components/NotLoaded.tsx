import { Notice } from '.';

/** Takes the place of a screen whose program could not be fetched. */
export function NotLoaded({ again }: { readonly again: () => void }) {
  return (
    <Notice
      whole
      title="This screen did not load"
      text="Your answers are kept. Try again where there is a connection. Until then leave the find where it is."
      action="Try again"
      onAction={again}
    />
  );
}
