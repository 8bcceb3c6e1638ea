import { useState } from 'react';
import { View } from 'react-native';
import type { TasteFields } from '@pause/core/pantry';
import { Small, Heading, ChipRow, Chip, Field } from '../../components';
import { guide } from '../../deciding/guide';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { useEaters } from '../../notebook/usePlaces';
import { t } from '../../text/en/eating';
import { cautionFor, CommonName } from '../../text/names';
import { styles } from './tasteStyles';

/** What followed on a first taste. */

/** What was felt becomes something that this one minds, where the guide has a word for it. */
export function ToCautions({ eater, taxon }: { readonly eater: string; readonly taxon: string }) {
  const act = useAct();
  const page = useEaters().find(({ fields }) => fields.name === eater);
  const cautions = [
    ...new Set(
      guide
        .taxon(taxon)
        ?.taxon.cautions.map((one) => one.for)
        .filter((one) => one.startsWith('allergy:')) ?? [],
    ),
  ];
  const family = guide.taxon(taxon)?.taxon.family.toLowerCase();
  const offered = [...new Set([...cautions, ...(family ? [`allergy:${family}`] : [])])];
  if (!page) return <Small soft>{t.putDownAmongThoseWho(eater)}</Small>;
  const { cautions: has = [], dislikes = [] } = page.fields;
  const save = (changes: object) =>
    void import('../../notebook/outside').then(({ changePage }) =>
      act(changePage(page.id, 'eater', changes)),
    );
  const id = guide.taxon(taxon)?.id;
  return (
    <View style={styles.block}>
      <Heading>{t.whatMindsFromNowOn(eater)}</Heading>
      <ChipRow label={t.whatMindsFromNowOn(eater)}>
        {offered.map((one) => (
          <Chip
            key={one}
            kind="checkbox"
            label={cautionFor(one)}
            chosen={has.includes(one)}
            onPress={() =>
              save({ cautions: has.includes(one) ? has.filter((other) => other !== one) : [...has, one] })
            }
          />
        ))}
        {id === undefined ? null : (
          <Chip
            kind="checkbox"
            label={t.noMore(CommonName(taxon).toLowerCase())}
            chosen={dislikes.includes(id)}
            onPress={() =>
              save({
                dislikes: dislikes.includes(id)
                  ? dislikes.filter((other) => other !== id)
                  : [...dislikes, id],
              })
            }
          />
        )}
      </ChipRow>
    </View>
  );
}

const SOURCE = {
  tradition: t.toldByTradition,
  trial: t.triedBySomebody,
  study: t.foundInAStudy,
} as const;

const DID: Readonly<Record<NonNullable<TasteFields['helped']>['did'], string>> = {
  helped: t.itHelped,
  nothing: t.itDidNothing,
  worse: t.itMadeItWorse,
};

/** One's own trial, kept apart from what tradition and studies say. */
export function Helped({
  id,
  helped,
  taxon,
}: {
  readonly id: string;
  readonly helped: TasteFields['helped'] | undefined;
  readonly taxon: string;
}) {
  const act = useAct();
  const [text, setText] = useState(helped?.text ?? '');
  const save = (did: NonNullable<TasteFields['helped']>['did']) =>
    void act(
      changeFields(id, 'taste', () => ({ helped: { did, text: text.trim() === '' ? '–' : text.trim() } })),
    );
  return (
    <View style={styles.block}>
      <Heading>{t.yourOwnTrial}</Heading>
      <Small soft>{t.whatItWasMeantFor}</Small>
      {(guide.taxon(taxon)?.taxon.benefits ?? []).map((one) => (
        <Small key={one.text}>
          {SOURCE[one.source]}: {one.text}
        </Small>
      ))}
      <Field label={t.whatItWasMeantForField} value={text} onChangeText={setText} maxLength={120} />
      <ChipRow label={t.whetherItHelped}>
        {(Object.keys(DID) as (keyof typeof DID)[]).map((did) => (
          <Chip key={did} label={DID[did]} chosen={helped?.did === did} onPress={() => save(did)} />
        ))}
      </ChipRow>
    </View>
  );
}
