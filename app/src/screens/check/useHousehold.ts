import { cautionsFor, currentFields, type Context, type FindRecord } from '@pause/core';
import { guide } from '../../deciding/guide';
import { selectOfKind } from '../../notebook/selectPages';
import { useApp } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { t } from '../../text/en/around';

type Eaters = NonNullable<Context['eaters']>;

/** Those who eat along at home, with what each has to mind, as recorded in one's own notebook. */
export function useHousehold(): Eaters {
  useOpenPages();
  return useApp(selectHousehold);
}
/** As many as a find can carry of one person. */
const MOST = 30;

interface EatersQuestion {
  /** What the guide cautions of, so that it is asked by name. */
  readonly cautions: readonly string[];
  /**
   * Those who eat along at home; nothing in a find of a group: who lives at home is nobody else's business.
   */
  readonly home: Eaters | undefined;
  /** Whether it is asked who will eat it: the guide or somebody at home has something to mind. */
  readonly asks: boolean;
  /** Whether the answer still has to be given; also while it is not known yet who eats along. */
  readonly open: boolean;
}

/** What is asked about those who will eat of a find. */
export function useEatersQuestion(record: FindRecord, target: string): EatersQuestion {
  const ready = useOpenPages();
  const household = useHousehold();
  // Of what nobody collects nobody eats.
  const known = guide.taxon(target);
  const taxon = known && known.taxon.parts.length > 0 ? known : undefined;
  const cautions = [
    ...new Set(
      (taxon?.taxon.cautions ?? [])
        .filter((c) => c.for !== 'everyone' && c.level !== 'note')
        .map((c) => c.for),
    ),
  ];
  const home = record.group === undefined && household.length > 0 ? household : undefined;
  // Somebody at home may have to mind what the guide has no caution for.
  const asks =
    cautions.length > 0 ||
    (taxon !== undefined && (home ?? []).some((one) => cautionsFor(one, taxon, 'eaten').length > 0));
  return {
    cautions,
    home,
    asks,
    open: record.context.eaters === undefined && (asks || (taxon !== undefined && !ready)),
  };
}

const selectHousehold = selectOfKind('eater', (pages): Eaters =>
  pages
    .map((page) => currentFields(page, 'eater'))
    .filter(({ eatsAlong }) => eatsAlong !== false)
    .map(({ name = t.somebody, cautions = [] }) => ({
      name: name.slice(0, 80),
      cautions: cautions.slice(0, MOST),
    }))
    .sort((a, b) => a.name.localeCompare(b.name)),
);
