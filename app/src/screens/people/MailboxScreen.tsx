import { useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { Body, Button, Heading, Notice, Rule, Screen, Small, space, Title } from '../../components';
import { useAct } from '../../notebook/store';
import { lettersInMailbox } from './account';

const Letters = z.object({
  letters: z.array(
    z.object({ id: z.string(), at: z.string(), to: z.string(), subject: z.string(), text: z.string() }),
  ),
});
type KeptLetter = z.infer<typeof Letters>['letters'][number];

/** The demo's simulated mailbox: what a mail server would send. */
export function MailboxScreen() {
  const act = useAct();
  const [letters, setLetters] = useState<readonly KeptLetter[] | undefined>();
  const [wrong, setWrong] = useState<string | undefined>();
  const look = useCallback(async () => {
    const outcome = await act(lettersInMailbox());
    setLetters(Letters.safeParse(outcome.ok ? outcome.said : undefined).data?.letters);
    setWrong(outcome.ok ? undefined : outcome.title);
  }, [act]);
  useEffect(() => {
    void look();
  }, [look]);
  return (
    <Screen>
      <View style={styles.block}>
        <Title>Simulated mailbox</Title>
        <Body>
          This is the demo: no letter leaves this machine. What a mail server would send lies here, for
          everybody who uses the demo.
        </Body>
        {wrong ? <Notice title="There is no simulated mailbox here" text={wrong} /> : null}
        {letters?.length === 0 ? (
          <Notice
            title="It is empty"
            text="Make an account, or ask for a new password: the letter comes here."
          />
        ) : null}
        <Button label="Look again" tone="outline" style={styles.start} onPress={() => void look()} />
        <View role="list" aria-label="Letters">
          {letters?.map((letter) => (
            <LetterView key={letter.id} letter={letter} />
          ))}
        </View>
      </View>
    </Screen>
  );
}

const LINK = /^https?:\/\/\S+$/m;

function LetterView({ letter: { to, subject, text } }: { readonly letter: KeptLetter }) {
  const router = useRouter();
  const link = LINK.exec(text)?.[0];
  const address = link === undefined ? undefined : new URL(link);
  return (
    <View role="listitem" style={styles.letter}>
      <Rule />
      <Heading>{subject}</Heading>
      <Small soft>To {to}</Small>
      {text
        .trim()
        .split('\n\n')
        .filter((paragraph) => paragraph !== link)
        .map((paragraph) => (
          <Body key={paragraph}>{paragraph}</Body>
        ))}
      {address ? (
        <Button
          label="Open the link"
          aria-label={`Open the link: ${subject}, to ${to}`}
          style={styles.start}
          onPress={() => router.push(`${address.pathname}${address.search}` as '/confirm')}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m, maxWidth: 640 },
  letter: { gap: space.s, paddingBottom: space.m },
  start: { alignSelf: 'flex-start' },
});
