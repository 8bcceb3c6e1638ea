import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { taxonContent } from '@pause/core';
import { Body, Button, Field, Heading, Small, SmallStrong, space } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
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
      <Heading>{t.reviewedInYourGroups}</Heading>
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
  const isCurrent = review?.content === content;
  const keeper = group.role === 'keeper';
  const save = (outcome: Outcome) => {
    setMessage(outcome.ok ? undefined : outcome.title);
    if (outcome.ok) setOpen(false);
  };
  return (
    <View style={styles.block}>
      {review ? (
        <Body>
          {t.signedBy(
            group.name,
            memberName(group, review.by),
            dayWords(new Date(review.at), new Date()),
            review.note ? ` “${review.note}”` : '',
            isCurrent ? '' : t.theGuideSaysSomethingElse,
          )}
        </Body>
      ) : (
        <Body>{t.nobodyHasSignedItWhere(group.name)}</Body>
      )}
      {keeper && !open ? (
        <View style={styles.ways}>
          {isCurrent ? (
            <Button
              label={t.takeTheSignatureBack}
              tone="plain"
              onPress={() => void act(unsignReview(group.id, taxon)).then(save)}
            />
          ) : (
            <Button label={t.signItAsReviewed} tone="outline" onPress={() => setOpen(true)} />
          )}
        </View>
      ) : null}
      {open ? (
        <View style={styles.block}>
          <Small soft>{t.youSayThatYouKnow}</Small>
          <Field
            label={t.byWhatInYourWords}
            value={note}
            onChangeText={setNote}
            maxLength={500}
            placeholder={t.whichBooksWhichYearsWhich}
          />
          <Button
            label={t.signIt}
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
