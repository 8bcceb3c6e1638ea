import { WaysOut } from '.';
import { t } from '../text/en/components';

/** The ways out of a screen that is about one find. */
export function FindWaysOut({ find }: { readonly find: string }) {
  return <WaysOut ways={[{ href: { pathname: '/find/[id]', params: { id: find } }, label: t.theFind }]} />;
}
