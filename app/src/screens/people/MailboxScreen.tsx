import { useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { Body, Button, Heading, Notice, Rule, Screen, Small, space, Title } from '../../components';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
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
    setLetters(Letters.safeParse(outcome.ok ? outcome.answer : undefined).data?.letters);
    setWrong(outcome.ok ? undefined : outcome.title);
  }, [act]);
  useEffect(() => {
    void look();
  }, [look]);
  return (
    <Screen>
      <View style={styles.block}>
        <Title>{t.simulatedMailbox}</Title>
        <Body>{t.thisIsTheDemoNo}</Body>
        {wrong ? <Notice title={t.thereIsNoSimulatedMailbox} text={wrong} /> : null}
        {letters?.length === 0 ? <Notice title={t.itIsEmpty} text={t.makeAnAccountOrAsk} /> : null}
        <Button label={t.lookAgain} tone="outline" style={styles.start} onPress={() => void look()} />
        <View role="list" aria-label={t.letters}>
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
      <Small soft>{t.to(to)}</Small>
      {text
        .trim()
        .split('\n\n')
        .filter((paragraph) => paragraph !== link)
        .map((paragraph) => (
          <Body key={paragraph}>{paragraph}</Body>
        ))}
      {address ? (
        <Button
          label={t.openTheLink}
          aria-label={t.openTheLinkTo(subject, to)}
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
