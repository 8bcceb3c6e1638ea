import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Sign, TasteFields } from '@pause/core/pantry';
import { tasteState } from '@pause/core/pantry/tasting';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  Field,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  Title,
} from '../../components';
import { guide } from '../../deciding/guide';
import { now } from '../../notebook/actions';
import { usePantry, type TastePage as Page } from '../../notebook/pantry';
import { useAct } from '../../notebook/store';
import { tellOf } from '../../notebook/tell';
import { useToday } from '../../notebook/useFinds';
import { useEaters } from '../../notebook/usePlaces';
import { momentWords } from '../../text/days';
import { cautionFor, CommonName } from '../../text/names';
import { SIGN } from '../../text/pantry';

/** A first taste that is going on, or how it went. */
export function TastePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const taste = pantry.tastes.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (!taste)
    return (
      <Screen>
        <Notice
          whole
          title="There is no such taste"
          text="A first taste is only in the notebook of who put it down."
        />
      </Screen>
    );
  return <Tasted taste={taste} />;
}

function Tasted({ taste: { id, fields } }: { readonly taste: Page }) {
  const act = useAct();
  const router = useRouter();
  const today = useToday();
  const [text, setText] = useState('');
  const { taxon = '', eater = 'Somebody', at = '', signs = [], ended } = fields;
  const state = tasteState(at, signs, today);
  const feel = (sign: TasteFields['signs'][number]['sign']) => {
    void act(
      tellOf(id, 'taste', ({ signs: all = [] }) => ({
        signs: [...all, { at: act(now()), sign, ...(text.trim() === '' ? {} : { text: text.trim() }) }],
      })),
    );
    setText('');
  };
  const end = (result: NonNullable<TasteFields['ended']>['result']) =>
    void act(tellOf(id, 'taste', () => ({ ended: { at: act(now()), result } })));
  return (
    <Screen>
      <View>
        <Small soft>First taste · {at ? momentWords(new Date(at)) : ''}</Small>
        <Title>
          {CommonName(taxon)}: {eater}
        </Title>
      </View>
      {state.state === 'stop' ? (
        <View style={styles.stop} role="alert">
          <Strong on="dark">No more of it</Strong>
          <Body on="dark">
            {state.call
              ? 'Call the emergency number or the poison service now, and have the sheet ready.'
              : 'Whatever it is, that was enough. If it grows, or breath or head come to it: call at once. In doubt, call the poison service.'}
          </Body>
          <Button
            label="The sheet, and whom to call"
            tone="outline"
            style={styles.onDark}
            onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
          />
        </View>
      ) : null}
      {ended === undefined && state.state === 'waiting' ? (
        <View style={styles.wait} role="status" aria-label="Waiting">
          <Strong>Another {Math.ceil(state.hoursLeft)} hours</Strong>
          <Body>
            No more of it, and nothing else that is new.
            {state.askAt ? ` Ask again at ${momentWords(state.askAt)}.` : ''}
          </Body>
          <Button
            label="Nothing so far"
            tone="outline"
            style={styles.start}
            onPress={() =>
              void act(
                tellOf(id, 'taste', ({ asked = [] }) => ({ asked: [...asked, act(now())].slice(-60) })),
              )
            }
          />
        </View>
      ) : null}
      {state.state === 'clock-set-back' ? (
        <Body>The clock was set back: nobody knows how long it is. Wait a day from now.</Body>
      ) : null}
      {ended === undefined && state.state === 'waited' ? (
        <View style={styles.block}>
          <Strong>A day has gone. How was it?</Strong>
          <ChipRow label="How it was">
            <Button label="Nothing was felt" onPress={() => end('nothing-felt')} />
            <Button label="It was broken off" tone="outline" onPress={() => end('broken-off')} />
          </ChipRow>
        </View>
      ) : null}
      {ended ? (
        <Body>
          {
            {
              'nothing-felt': 'Nothing was felt within a day.',
              signs: 'Something was felt: it is not for them.',
              'broken-off': 'It was broken off.',
            }[ended.result]
          }{' '}
          That says how {eater} takes it, and nothing of what it is.
        </Body>
      ) : null}
      {signs.length > 0 ? (
        <View role="list" aria-label="What was felt" style={styles.block}>
          {signs.map((one) => (
            <View key={one.at} role="listitem">
              <Body>
                {momentWords(new Date(one.at))}: {SIGN[one.sign]}
                {one.text ? `, ${one.text}` : ''}
              </Body>
            </View>
          ))}
        </View>
      ) : null}
      {ended === undefined ? (
        <View style={styles.block}>
          <Heading>Something is felt</Heading>
          <Field label="In words" value={text} onChangeText={setText} maxLength={120} />
          <ChipRow label="Where">
            {(Object.keys(SIGN) as Sign[]).map((sign) => (
              <Button key={sign} label={SIGN[sign]} tone="outline" onPress={() => feel(sign)} />
            ))}
          </ChipRow>
        </View>
      ) : null}
      {ended === undefined && signs.length > 0 ? (
        <Button
          label="It is over, and was not for them"
          tone="outline"
          style={styles.start}
          onPress={() => end('signs')}
        />
      ) : null}
      {signs.length > 0 ? <ToCautions eater={eater} taxon={taxon} /> : null}
      <Helped id={id} helped={fields.helped} taxon={taxon} />
    </Screen>
  );
}

/** What was felt becomes something that this one minds, where the guide has a word for it. */
function ToCautions({ eater, taxon }: { readonly eater: string; readonly taxon: string }) {
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
  if (!page)
    return (
      <Small soft>
        Put {eater} down among those who eat along, and what was felt can be minded from then on.
      </Small>
    );
  const { cautions: has = [], dislikes = [] } = page.fields;
  const tell = (told: object) =>
    void import('../../notebook/outside').then(({ tellPage }) => act(tellPage(page.id, 'eater', told)));
  const id = guide.taxon(taxon)?.id;
  return (
    <View style={styles.block}>
      <Heading>What {eater} minds from now on</Heading>
      <ChipRow label={`What ${eater} minds from now on`}>
        {offered.map((one) => (
          <Chip
            key={one}
            kind="checkbox"
            label={cautionFor(one)}
            chosen={has.includes(one)}
            onPress={() =>
              tell({ cautions: has.includes(one) ? has.filter((other) => other !== one) : [...has, one] })
            }
          />
        ))}
        {id === undefined ? null : (
          <Chip
            kind="checkbox"
            label={`No more ${CommonName(taxon).toLowerCase()}`}
            chosen={dislikes.includes(id)}
            onPress={() =>
              tell({
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
  tradition: 'Told by tradition',
  trial: 'Tried by somebody',
  study: 'Found in a study',
} as const;
const DID: Readonly<Record<NonNullable<TasteFields['helped']>['did'], string>> = {
  helped: 'It helped',
  nothing: 'It did nothing',
  worse: 'It made it worse',
};

/** One's own trial, kept apart from what tradition and studies say. */
function Helped({
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
  const tell = (did: NonNullable<TasteFields['helped']>['did']) =>
    void act(tellOf(id, 'taste', () => ({ helped: { did, text: text.trim() === '' ? '–' : text.trim() } })));
  return (
    <View style={styles.block}>
      <Heading>Your own trial</Heading>
      <Small soft>
        What it was meant for, and whether it helped: one person’s trial, which Pause keeps apart from
        tradition and studies, and never makes a dose or a cure of.
      </Small>
      {(guide.taxon(taxon)?.taxon.benefits ?? []).map((one) => (
        <Small key={one.text}>
          {SOURCE[one.source]}: {one.text}
        </Small>
      ))}
      <Field label="What it was meant for" value={text} onChangeText={setText} maxLength={120} />
      <ChipRow label="Whether it helped">
        {(Object.keys(DID) as (keyof typeof DID)[]).map((did) => (
          <Chip key={did} label={DID[did]} chosen={helped?.did === did} onPress={() => tell(did)} />
        ))}
      </ChipRow>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  stop: { gap: space.s, padding: space.m, backgroundColor: colour.leave, borderRadius: corner },
  onDark: { backgroundColor: colour.ground, alignSelf: 'flex-start' },
  wait: {
    gap: space.xs,
    padding: space.m,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  start: { alignSelf: 'flex-start' },
});
