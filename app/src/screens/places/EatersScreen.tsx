import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FieldsOf } from '@pause/core';
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
} from '../../components';
import { guide } from '../../deciding/guide';
import { changeFields, toggled, type Changes } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { useOpenPages } from '../../notebook/useOpenPages';
import { useEaters, type EaterPage } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
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
        <Loading what={t.openingTheNotebook} />
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
      <Title>{t.whoEatsAlong}</Title>
      <Body>{t.whatIsFineForThe}</Body>
      {eaters.length === 0 ? <Notice title={t.nobodyYet} text={t.putDownWhoEatsOr} /> : null}
      <View role="list" aria-label={t.whoEatsAlong}>
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

function Eater({
  eater: { id, fields },
  open,
  onOpen,
}: {
  readonly eater: EaterPage;
  readonly open: boolean;
  readonly onOpen: () => void;
}) {
  const act = useAct();
  const { name = t.somebody, cautions = [], likes = [], dislikes = [], eatsAlong } = fields;
  const save = (make: (now: Partial<FieldsOf<'eater'>>) => Changes<'eater'>) =>
    void act(changeFields(id, 'eater', make));
  return (
    <View role="listitem">
      <View style={styles.line}>
        <View style={styles.grow}>
          <Strong>
            {name}
            {eatsAlong === false ? t.notAtTheMoment : ''}
          </Strong>
          <Small soft>
            {[
              cautions.map((one) => lowerFirst(cautionFor(one))).join(', ') || t.nothingToMind,
              likes.length > 0 && t.likes(likes.map(commonName).join(', ')),
              dislikes.length > 0 && t.not(dislikes.map(commonName).join(', ')),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Small>
        </View>
        <Button
          label={open ? t.done : t.change}
          aria-label={`${open ? t.doneWith : t.change} ${name}`}
          tone="plain"
          onPress={onOpen}
        />
      </View>
      {open ? (
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
              save((now) => ({
                cautions: [
                  ...(now.cautions ?? []).filter((one) => one !== `other:${words}`),
                  `other:${words}`,
                ],
              }))
            }
          />
          <SmallStrong>{t.likesField}</SmallStrong>
          <ChipRow label={t.whatLikes(name)}>
            {WANTED().map((one) => (
              <Chip
                key={one}
                kind="checkbox"
                label={CommonName(one)}
                chosen={likes.includes(one)}
                onPress={() =>
                  save((now) => ({
                    likes: toggled(now.likes, one),
                    dislikes: (now.dislikes ?? []).filter((other) => other !== one),
                  }))
                }
              />
            ))}
          </ChipRow>
          <SmallStrong>{t.doesNotLike}</SmallStrong>
          <ChipRow label={t.whatDoesNotLike(name)}>
            {WANTED().map((one) => (
              <Chip
                key={one}
                kind="checkbox"
                label={CommonName(one)}
                chosen={dislikes.includes(one)}
                onPress={() =>
                  save((now) => ({
                    dislikes: toggled(now.dislikes, one),
                    likes: (now.likes ?? []).filter((other) => other !== one),
                  }))
                }
              />
            ))}
          </ChipRow>
        </View>
      ) : null}
      <Rule />
    </View>
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
  grow: { flex: 1 },
  block: { gap: space.s, paddingBottom: space.m },
  start: { alignSelf: 'flex-start' },
});
