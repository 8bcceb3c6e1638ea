import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { taxonContent } from '@pause/core';
import { Body, Button, Field, Heading, Small, SmallStrong, Stack, Row } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
import { sentences } from '../../text/messages';
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
    <Stack gap="s">
      <Heading>{t.reviewedInYourGroups}</Heading>
      {shown.map((group) => (
        <Review key={group.id} group={group} taxon={taxon} content={content} />
      ))}
    </Stack>
  );
}

interface ReviewProps {
  readonly group: Group;
  readonly taxon: string;
  readonly content: string;
}

function Review({ group, taxon, content }: ReviewProps) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const [message, setMessage] = useState<string | undefined>();
  const review = group.reviews.find((r) => r.taxon === taxon);
  const isCurrent = review?.content === content;
  const save = (outcome: Outcome) => {
    setMessage(outcome.ok ? undefined : outcome.title);
    if (outcome.ok) setOpen(false);
  };
  return (
    <Stack gap="s">
      {review ? (
        <Body>
          {sentences(
            t.signedBy(group.name, memberName(group, review.by), dayWords(new Date(review.at), new Date())),
            review.note && `“${review.note}”`,
            !isCurrent && t.theGuideSaysSomethingElse,
          )}
        </Body>
      ) : (
        <Body>{t.nobodyHasSignedItWhere(group.name)}</Body>
      )}
      {group.role === 'keeper' && !open ? (
        <Row gap="m">
          {isCurrent ? (
            <Button
              label={t.takeTheSignatureBack}
              tone="plain"
              onPress={() => void act(unsignReview(group.id, taxon)).then(save)}
            />
          ) : (
            <Button label={t.signItAsReviewed} tone="outline" onPress={() => setOpen(true)} />
          )}
        </Row>
      ) : null}
      {open ? (
        <Sign onSign={(note) => void act(signReview(group.id, taxon, content, note)).then(save)} />
      ) : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
    </Stack>
  );
}

/** Signs, with a note where there is one. */
function Sign({ onSign }: { readonly onSign: (note: string | undefined) => void }) {
  const [note, setNote] = useState('');
  return (
    <Stack gap="s">
      <Small soft>{t.youSayThatYouKnow}</Small>
      <Field
        label={t.byWhatInYourWords}
        value={note}
        onChangeText={setNote}
        maxLength={500}
        placeholder={t.whichBooksWhichYearsWhich}
      />
      <Button label={t.signIt} style={styles.start} onPress={() => onSign(note.trim() || undefined)} />
    </Stack>
  );
}

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
});
