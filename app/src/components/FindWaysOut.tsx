import { t } from '../text/en/components';
import { WaysOut } from '.';

/** The ways out of a screen that is about one find. */
export function FindWaysOut({ find }: { readonly find: string }) {
  return <WaysOut ways={[{ href: { pathname: '/find/[id]', params: { id: find } }, label: t.theFind }]} />;
}
