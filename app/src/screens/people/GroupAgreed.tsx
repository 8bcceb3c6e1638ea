import { useEffect } from 'react';
import { View } from 'react-native';
import { type PageRecord, fieldHistory, type FieldsOf, type TaxonId } from '@pause/core';
import { Heading, Body, Small } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
import { FIELD } from '../../text/groups';
import { commonName } from '../../text/names';
import { memberName } from '../../text/people';
import { styles } from './groupStyles';

/** What a group agreed on, and when. */

const MOST_SHOWN = 8;

/** Who agreed on what, and when: what was agreed before stays visible. */
export function Agreed({ group }: { readonly group: Group }) {
  const act = useAct();
  const page = useApp((state) => state.pages.all[group.id]);
  useEffect(() => {
    void import('../../notebook/outside').then(({ loadPages }) => act(loadPages([group.id])));
  }, [act, group.id]);
  const changes = [...(page?.changes ?? [])].reverse();
  if (!page || changes.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.howItCameAbout}</Heading>
      <View role="list" aria-label={t.howItCameAbout} style={styles.block}>
        {changes.slice(0, MOST_SHOWN).map((one) => (
          <View key={one.id} role="listitem">
            <Body>
              {FIELD[one.field as keyof typeof FIELD]}: {ruleWords(one.value)}
            </Body>
            <Small soft>
              {(isCurrent(page, one) ? t.recordedByOn : t.recordedByOnAndChanged)(
                memberName(group, one.by),
                dayWords(new Date(one.at), new Date()),
              )}
            </Small>
          </View>
        ))}
      </View>
    </View>
  );
}

const isCurrent = (page: PageRecord, { id, field }: { readonly id: string; readonly field: string }) =>
  fieldHistory(page, field)[0]?.id === id;

export type Rule = FieldsOf<'group'>[keyof FieldsOf<'group'>];

function ruleWords(rule: unknown): string {
  const value = rule as Rule | null;
  if (value === null) return t.asTheGuideHasIt;
  if (typeof value === 'boolean') return value ? t.ruleIsOn : t.ruleIsOff;
  if (Array.isArray(value))
    return value.length === 0
      ? t.emptyList
      : value.map((one) => (guide.taxon(one) ? commonName(one as TaxonId) : one)).join(', ');
  return typeof value === 'object'
    ? Object.entries(value)
        .map(([grade, more]) => t.moreForWhatIs(more, grade))
        .join(', ')
    : String(value);
}
