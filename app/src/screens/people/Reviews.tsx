import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { taxonContent } from '@pause/core';
import { Body, Button, Field, Heading, Small, SmallStrong, space } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { memberName } from '../../text/people';
import { signReview, unsignReview, type Outcome } from './account';

/** Who of a person's groups has reviewed what the guide says of a taxon; its keepers can sign it. */
export function Reviews({ taxon }: { readonly taxon: string }) {
  const groups = useApp((state) => state.me.person?.groups);
  const known = guide.taxon(taxon);
  if (!known || !groups?.length) return null;
  const content = taxonContent(known);
  const shown = groups.filter(
    (group) => group.role === 'keeper' || group.reviews.some((r) => r.taxon === taxon),
  );
  if (shown.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>Reviewed in your groups</Heading>
      {shown.map((group) => (
        <Review key={group.id} group={group} taxon={taxon} content={content} />
      ))}
    </View>
  );
}

function Review({
  group,
  taxon,
  content,
}: {
  readonly group: Group;
  readonly taxon: string;
  readonly content: string;
}) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const [message, setMessage] = useState<string | undefined>();
  const review = group.reviews.find((r) => r.taxon === taxon);
  const stands = review?.content === content;
  const keeper = group.role === 'keeper';
  const save = (outcome: Outcome) => {
    setMessage(outcome.ok ? undefined : outcome.title);
    if (outcome.ok) setOpen(false);
  };
  return (
    <View style={styles.block}>
      {review ? (
        <Body>
          {group.name}: signed by {memberName(group, review.by)}, {dayWords(new Date(review.at), new Date())}.
          {review.note ? ` “${review.note}”` : ''}
          {stands ? '' : ' The guide says something else by now, so the signature does not count any more.'}
        </Body>
      ) : (
        <Body>
          {group.name}: nobody has signed it. Where a deadly pair is not reviewed, a second look is asked for.
        </Body>
      )}
      {keeper && !open ? (
        <View style={styles.ways}>
          {stands ? (
            <Button
              label="Take the signature back"
              tone="plain"
              onPress={() => void act(unsignReview(group.id, taxon)).then(save)}
            />
          ) : (
            <Button label="Sign it as reviewed" tone="outline" onPress={() => setOpen(true)} />
          )}
        </View>
      ) : null}
      {open ? (
        <View style={styles.block}>
          <Small soft>
            You say that you know this taxon here, and that everything above is right as far as it goes. The
            signature is bound to what it says today.
          </Small>
          <Field
            label="By what, in your words"
            value={note}
            onChangeText={setNote}
            maxLength={500}
            placeholder="Which books, which years, which places"
          />
          <Button
            label="Sign it"
            style={styles.start}
            onPress={() =>
              void act(signReview(group.id, taxon, content, note.trim() || undefined)).then(save)
            }
          />
        </View>
      ) : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  ways: { flexDirection: 'row', gap: space.m },
  start: { alignSelf: 'flex-start' },
});
