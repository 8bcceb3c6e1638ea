import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Field, Heading, Stack, Strong } from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import type { PortionPage } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';

/** What somebody felt after it. */
export function HowItWent({ portion: { id, person, fields } }: { readonly portion: PortionPage }) {
  const router = useRouter();
  const me = useApp((state) => state.me.person?.id);
  const { signs = [] } = fields;
  return (
    <Stack gap="s">
      <Heading>{t.howItWent}</Heading>
      {signs.length === 0 ? <Body>{t.nobodyHasFeltAnythingSo}</Body> : null}
      <View role="list" aria-label={pantryText.whatWasFelt}>
        {signs.map((one) => (
          <View key={one.at} role="listitem">
            <Body>
              {momentWords(new Date(one.at))}: {one.text}
            </Body>
          </View>
        ))}
      </View>
      {person === me ? <Felt id={id} /> : null}
      {signs.length > 0 ? <Strong>{t.doNotWaitForMore}</Strong> : null}
      <Button
        label={t.someoneIsIllAfterIt}
        tone={signs.length > 0 ? 'ink' : 'outline'}
        style={styles.start}
        onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
      />
    </Stack>
  );
}

function Felt({ id }: { readonly id: string }) {
  const act = useAct();
  const [text, setText] = useState('');
  const save = () => {
    void act(
      changeFields(id, 'portion', ({ signs: all = [] }) => ({
        signs: [...all, { at: act(now()), text: text.trim() }],
      })),
    );
    setText('');
  };
  return (
    <>
      <Field
        label={t.somebodyFeltSomething}
        value={text}
        onChangeText={setText}
        maxLength={120}
        hint={t.whoAndWhat}
      />
      <Button
        label={pantryText.putItDown}
        tone="outline"
        disabled={text.trim() === ''}
        style={styles.start}
        onPress={save}
      />
    </>
  );
}

const styles = StyleSheet.create({ start: { alignSelf: 'flex-start' } });
