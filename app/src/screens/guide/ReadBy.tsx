import { useState } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { answersOnFile } from '@pause/guide/answers';
import { Button, Heading, Rule, Small, SmallStrong, space } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/readBy';
import { characterName } from '../../text/names';

const FIRST = 3;

/**
 * Who read a taxon without seeing what the others wrote, what they asked to be changed, and what came of it.
 */
export function ReadBy({ taxon: { id, taxon } }: { readonly taxon: CompiledTaxon }) {
  const [all, setAll] = useState(false);
  const by = new Set(taxon.statements.flatMap(({ readBy = [] }) => readBy));
  const readers = (guide.guide.readings ?? []).filter((one) => by.has(one.id));
  const answers = answersOnFile().filter((one) => one.taxon === id);
  const shown = all ? answers : answers.slice(0, FIRST);
  return (
    <View style={{ gap: space.s }}>
      <Heading>{t.whoReadIt}</Heading>
      {readers.length === 0 ? <Small>{t.onlyWhoeverWroteIt}</Small> : null}
      {readers.map((one) => (
        <Small key={one.id}>
          <SmallStrong>{one.reader}. </SmallStrong>
          {one.about}
        </Small>
      ))}
      {answers.length > 0 ? (
        <View role="list" aria-label={t.whatWasAskedOfIt} style={{ gap: space.xs }}>
          {shown.map((one, index) => (
            <View key={index} role="listitem" style={{ gap: space.xs, paddingTop: space.xs }}>
              <Small>
                {one.character === undefined ? '' : `${characterName(one.character)}: `}
                {one.asked}
              </Small>
              <SmallStrong>
                {one.taken ? t.taken : t.notTaken}
                {one.why}
              </SmallStrong>
              <Rule />
            </View>
          ))}
        </View>
      ) : null}
      {shown.length < answers.length ? (
        <Button
          label={t.moreAnswers(answers.length - shown.length)}
          tone="plain"
          style={{ alignSelf: 'flex-start' }}
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}
