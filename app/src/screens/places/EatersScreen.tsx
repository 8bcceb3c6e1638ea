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
        <Loading what="Opening the notebook …" />
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
      <Title>Who eats along</Title>
      <Body>
        What is fine for the one who picks may not be fine for the one who eats. This stays in your own
        notebook, in no group’s. Pause warns and refers to a pharmacist or doctor; it never prescribes.
      </Body>
      {eaters.length === 0 ? (
        <Notice
          title="Nobody yet"
          text="Put down who eats or uses what you gather, and what each has to mind."
        />
      ) : null}
      <View role="list" aria-label="Who eats along">
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
        <Heading>Somebody else</Heading>
        <Field label="What you call them" value={name} onChangeText={setName} maxLength={120} />
        <Button
          label="Put them down"
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
  const { name = 'Somebody', cautions = [], likes = [], dislikes = [], eatsAlong } = fields;
  const save = (make: (now: Partial<FieldsOf<'eater'>>) => Changes<'eater'>) =>
    void act(changeFields(id, 'eater', make));
  return (
    <View role="listitem">
      <View style={styles.line}>
        <View style={styles.grow}>
          <Strong>
            {name}
            {eatsAlong === false ? ', not at the moment' : ''}
          </Strong>
          <Small soft>
            {[
              cautions.map((one) => lowerFirst(cautionFor(one))).join(', ') || 'nothing to mind',
              likes.length > 0 && `likes ${likes.map(commonName).join(', ')}`,
              dislikes.length > 0 && `not ${dislikes.map(commonName).join(', ')}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Small>
        </View>
        <Button
          label={open ? 'Done' : 'Change'}
          aria-label={`${open ? 'Done with' : 'Change'} ${name}`}
          tone="plain"
          onPress={onOpen}
        />
      </View>
      {open ? (
        <View style={styles.block}>
          <ChipRow label={`Whether ${name} eats along`}>
            <Chip
              kind="checkbox"
              label="Eats along"
              chosen={eatsAlong !== false}
              onPress={() => save((now) => ({ eatsAlong: now.eatsAlong === false }))}
            />
          </ChipRow>
          <SmallStrong>Has to mind</SmallStrong>
          <ChipRow label={`What ${name} has to mind`}>
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
          <SmallStrong>Likes</SmallStrong>
          <ChipRow label={`What ${name} likes`}>
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
          <SmallStrong>Does not like</SmallStrong>
          <ChipRow label={`What ${name} does not like`}>
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
      <Field
        label={`Anything else ${name} has to mind: a medicine, an illness, an allergy`}
        value={words}
        onChangeText={setWords}
        maxLength={80}
      />
      <Button
        label="Mind it"
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
