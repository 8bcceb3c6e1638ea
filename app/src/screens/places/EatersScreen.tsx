import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FieldsOf, TaxonId } from '@pause/core';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  Grow,
} from '../../components';
import { guide } from '../../deciding/guide';
import { changeFields, toggled, type Changes } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { useEaters, type EaterPage } from '../../notebook/usePlaces';
import { t } from '../../text/en/eaters';
import { t as placesText } from '../../text/en/places';
import { cautionFor, CommonName, commonName, lowerFirst } from '../../text/names';

/** Everything that the guide asks somebody to mind. */
const CAUTIONS = () =>
  [
    ...new Set(
      guide.taxa.flatMap(({ taxon }) =>
        taxon.cautions.filter(({ level }) => level !== 'note').map((caution) => caution.for),
      ),
    ),
  ]
    .filter((one) => one !== 'everyone')
    .sort((a, b) => cautionFor(a).localeCompare(cautionFor(b)));
const WANTED = () =>
  guide.taxa
    .filter(({ taxon }) => taxon.parts.length > 0)
    .map(({ id }) => id)
    .sort((a, b) => commonName(a).localeCompare(commonName(b)));

/** Who eats or uses what is gathered, and what each has to mind: private, and never more than a caution. */
export function EatersScreen() {
  const act = useAct();
  const ready = useOpenPages();
  const eaters = useEaters();
  const [open, setOpen] = useState<string | undefined>();
  const [name, setName] = useState('');
  if (!ready)
    return (
      <Screen>
        <Loading what={placesText.openingTheNotebook} />
      </Screen>
    );
  const begin = () =>
    void import('../../notebook/outside')
      .then(({ beginPage }) => act(beginPage('eater', { name: name.trim(), eatsAlong: true })))
      .then((id) => {
        if (id === undefined) return;
        setName('');
        setOpen(id);
      });
  return (
    <Screen>
      <Title>{placesText.whoEatsAlong}</Title>
      <Body>{t.whatIsFineForThe}</Body>
      {eaters.length === 0 ? <Notice title={t.nobodyYet} text={t.putDownWhoEatsOr} /> : null}
      <View role="list" aria-label={placesText.whoEatsAlong}>
        <Rule strong />
        {eaters.map((eater) => (
          <Eater
            key={eater.id}
            eater={eater}
            open={open === eater.id}
            onOpen={() => setOpen(open === eater.id ? undefined : eater.id)}
          />
        ))}
      </View>
      <View style={styles.block}>
        <Heading>{t.somebodyElse}</Heading>
        <Field label={t.whatYouCallThem} value={name} onChangeText={setName} maxLength={120} />
        <Button
          label={t.putThemDown}
          tone="outline"
          disabled={name.trim() === ''}
          style={styles.start}
          onPress={begin}
        />
      </View>
    </Screen>
  );
}

interface EaterProps {
  readonly eater: EaterPage;
  readonly open: boolean;
  readonly onOpen: () => void;
}

function Eater({ eater, open, onOpen }: EaterProps) {
  const { name = t.somebody, cautions = [], likes = [], dislikes = [], eatsAlong } = eater.fields;
  return (
    <View role="listitem">
      <View style={styles.line}>
        <Grow>
          <Strong>{eatsAlong === false ? t.notAtTheMoment(name) : name}</Strong>
          <Small soft>
            {[
              cautions.map((one) => lowerFirst(cautionFor(one))).join(', ') || t.nothingToMind,
              likes.length > 0 && t.likes(likes.map(commonName).join(', ')),
              dislikes.length > 0 && t.not(dislikes.map(commonName).join(', ')),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Small>
        </Grow>
        <Button
          label={open ? placesText.done : t.change}
          aria-label={`${open ? t.doneWith : t.change} ${name}`}
          tone="plain"
          onPress={onOpen}
        />
      </View>
      {open ? <EditEater eater={eater} /> : null}
      <Rule />
    </View>
  );
}

function EditEater({ eater: { id, fields } }: Pick<EaterProps, 'eater'>) {
  const act = useAct();
  const { name = t.somebody, cautions = [], likes = [], dislikes = [], eatsAlong } = fields;
  const save = (make: (now: Partial<FieldsOf<'eater'>>) => Changes<'eater'>) =>
    void act(changeFields(id, 'eater', make));
  const without = <T,>(list: readonly T[] | undefined, one: T) =>
    (list ?? []).filter((other) => other !== one);
  return (
    <View style={styles.block}>
      <ChipRow label={t.whetherEatsAlong(name)}>
        <Chip
          kind="checkbox"
          label={t.eatsAlong}
          chosen={eatsAlong !== false}
          onPress={() => save((now) => ({ eatsAlong: now.eatsAlong === false }))}
        />
      </ChipRow>
      <SmallStrong>{t.hasToMind}</SmallStrong>
      <ChipRow label={t.whatHasToMind(name)}>
        {[...CAUTIONS(), ...cautions.filter((one) => one.startsWith('other:'))].map((one) => (
          <Chip
            key={one}
            kind="checkbox"
            label={cautionFor(one)}
            chosen={cautions.includes(one)}
            onPress={() => save((now) => ({ cautions: toggled(now.cautions, one) }))}
          />
        ))}
      </ChipRow>
      <OwnWords
        name={name}
        onSay={(words) =>
          save((now) => ({ cautions: [...without(now.cautions, `other:${words}`), `other:${words}`] }))
        }
      />
      <SmallStrong>{t.likesField}</SmallStrong>
      <TaxonChips
        label={t.whatLikes(name)}
        chosen={likes}
        onToggle={(one) =>
          save((now) => ({ likes: toggled(now.likes, one), dislikes: without(now.dislikes, one) }))
        }
      />
      <SmallStrong>{t.doesNotLike}</SmallStrong>
      <TaxonChips
        label={t.whatDoesNotLike(name)}
        chosen={dislikes}
        onToggle={(one) =>
          save((now) => ({ dislikes: toggled(now.dislikes, one), likes: without(now.likes, one) }))
        }
      />
    </View>
  );
}

interface TaxonChipsProps {
  readonly label: string;
  readonly chosen: readonly TaxonId[];
  readonly onToggle: (taxon: TaxonId) => void;
}

function TaxonChips({ label, chosen, onToggle }: TaxonChipsProps) {
  return (
    <ChipRow label={label}>
      {WANTED().map((one) => (
        <Chip
          key={one}
          kind="checkbox"
          label={CommonName(one)}
          chosen={chosen.includes(one)}
          onPress={() => onToggle(one)}
        />
      ))}
    </ChipRow>
  );
}

/** What no chip says: every verdict for this one then says that the guide has not looked at it. */
function OwnWords({ name, onSay }: { readonly name: string; readonly onSay: (words: string) => void }) {
  const [words, setWords] = useState('');
  return (
    <View style={styles.block}>
      <Field label={t.anythingElseHasToMind(name)} value={words} onChangeText={setWords} maxLength={80} />
      <Button
        label={t.mindIt}
        tone="outline"
        disabled={words.trim() === ''}
        style={styles.start}
        onPress={() => {
          onSay(words.trim());
          setWords('');
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.m },
  block: { gap: space.s, paddingBottom: space.m },
  start: { alignSelf: 'flex-start' },
});
