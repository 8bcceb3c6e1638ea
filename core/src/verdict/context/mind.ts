import type { CompiledTaxon, Caution, Route } from '../../guide';

/**
 * What somebody has to mind and what a guide cautions of meet by what they mean: a class of medicines its
 * members, a family what is of it, any medicine every one. What the guide has not looked at is asked about,
 * never passed over.
 */

/**
 * Medicines by class, as pharmacology names them (WHO ATC groups B01, C01A, C02 to C09, C03, N05, L04, A10).
 */
const MEDICINES: Readonly<Record<string, readonly string[]>> = {
  'blood-thinners': [
    'anticoagulant',
    'anticoagulants',
    'warfarin',
    'phenprocoumon',
    'acenocoumarol',
    'heparin',
    'apixaban',
    'rivaroxaban',
    'edoxaban',
    'dabigatran',
    'clopidogrel',
  ],
  'heart-glycosides': ['digoxin', 'digitoxin'],
  'blood-pressure': [
    'ramipril',
    'enalapril',
    'lisinopril',
    'candesartan',
    'losartan',
    'valsartan',
    'amlodipine',
    'bisoprolol',
    'metoprolol',
  ],
  diuretics: ['furosemide', 'torasemide', 'hydrochlorothiazide', 'spironolactone'],
  sedatives: ['diazepam', 'lorazepam', 'zolpidem'],
  'immune-suppression': ['ciclosporin', 'tacrolimus', 'azathioprine'],
  diabetes: ['insulin', 'metformin'],
};

/** What people say they are allergic to, by family or by what it belongs to. */
const ALLERGIES: Readonly<Record<string, readonly string[]>> = {
  apiaceae: [
    'celery',
    'carrot',
    'parsley',
    'caraway',
    'fennel',
    'dill',
    'coriander',
    'anise',
    'cumin',
    'lovage',
  ],
  asteraceae: ['ragweed', 'mugwort', 'chamomile', 'daisies', 'arnica', 'sunflower'],
  lamiaceae: ['thyme', 'sage', 'mint', 'oregano', 'marjoram', 'basil', 'rosemary', 'lavender'],
  rosaceae: ['strawberry', 'apple', 'pear', 'cherry', 'plum', 'peach', 'apricot'],
  brassicaceae: ['mustard', 'cress', 'rapeseed'],
  nuts: ['hazel', 'hazelnut', 'walnut', 'almond', 'cashew', 'chestnut', 'latex'],
  birch: ['hazel', 'alder'],
  aspirin: ['salicylates', 'salicylate'],
};

/** A condition and the medicines that are taken for it. */
const TAKEN_FOR: Readonly<Record<string, readonly string[]>> = {
  'blood-pressure': ['blood-pressure', 'diuretics'],
  heart: ['heart-glycosides'],
  diabetes: ['diabetes'],
};

const split = (what: string): readonly [kind: string, of: string] => {
  const at = what.indexOf(':');
  return at < 0 ? [what, ''] : [what.slice(0, at), what.slice(at + 1)];
};
const holds = (classes: Readonly<Record<string, readonly string[]>>, one: string, other: string) =>
  one === other || classes[one]?.includes(other) === true || classes[other]?.includes(one) === true;

/**
 * Whether what an eater has to mind and what a caution is for mean the same, or one is a kind of the other.
 */
export function meets(minded: string, caution: string): boolean {
  if (caution === 'everyone' || minded === caution) return true;
  const [[kind, of], [theirs, ofTheirs]] = [split(minded), split(caution)];
  if (kind === 'medicine' && theirs === 'medicine')
    return of === 'any' || ofTheirs === 'any' || holds(MEDICINES, of, ofTheirs);
  if (kind === 'allergy' && theirs === 'allergy') return holds(ALLERGIES, of, ofTheirs);
  const takes = (condition: string, medicine: string) =>
    TAKEN_FOR[condition]?.some((one) => holds(MEDICINES, one, medicine)) === true;
  return (theirs === 'medicine' && takes(kind, ofTheirs)) || (kind === 'medicine' && takes(theirs, of));
}

/**
 * Whether guides speak of it at all. A medicine or an allergy that is in no class here, and whatever is said
 * in own words, nobody has looked at.
 */
export function isLookedAt(minded: string): boolean {
  const [kind, of] = split(minded);
  const known = (classes: Readonly<Record<string, readonly string[]>>) =>
    of === 'any' || Object.entries(classes).some(([one, members]) => one === of || members.includes(of));
  return kind === 'medicine'
    ? known(MEDICINES)
    : kind === 'allergy'
      ? of.endsWith('aceae') || known(ALLERGIES)
      : kind !== 'other';
}

/** What is minded, as a person would say it: "celery", "blood thinners", or their own words. */
const wordsOf = (minded: string) => {
  const [kind, of] = split(minded);
  return kind === 'other' ? of : of.split('-').join(' ');
};

/**
 * What an eater has to mind of a taxon that reaches the body by a route; what is only to be known is left
 * out. A member of the taxon's family, and whatever the guide has not looked at, is a reason to ask.
 */
export function cautionsFor(
  { cautions }: { readonly cautions: readonly string[] },
  { taxon }: CompiledTaxon,
  route: Route,
): Caution[] {
  const ruled = taxon.cautions.filter(
    (caution) =>
      caution.level !== 'note' &&
      (caution.routes?.includes(route) ?? true) &&
      (caution.for === 'everyone' || cautions.some((one) => meets(one, caution.for))),
  );
  const family = taxon.family.toLowerCase();
  const asked =
    route === 'none'
      ? []
      : cautions.flatMap((one): Caution[] => {
          if (!isLookedAt(one))
            return [
              {
                for: one,
                level: 'ask',
                text: `The guide has not looked at “${wordsOf(one)}”. Ask a doctor or pharmacist.`,
              },
            ];
          const [kind, of] = split(one);
          const related =
            kind === 'allergy' &&
            holds(ALLERGIES, of, family) &&
            !ruled.some((caution) => meets(one, caution.for));
          return related
            ? [
                {
                  for: one,
                  level: 'ask',
                  text: `It is of the family ${taxon.family}, as what is reacted to is. Ask a doctor or pharmacist.`,
                },
              ]
            : [];
        });
  return [...ruled, ...asked];
}
