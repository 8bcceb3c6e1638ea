import { View } from 'react-native';
import { type Case, type Verdict, short } from '@pause/core';
import { Heading, useWide, WaysOut, Small, Title, colour } from '../../components';
import type { FindProps } from '../../components/FindFrame';
import { BodyPlanGlyph } from '../../components/plates/BodyPlanGlyph';
import { t } from '../../text/en/check';
import { commonName, scientificName } from '../../text/names';
import { BesideLink } from './beside/BesideLink';
import { styles } from './checkStyles';
import { Parting } from './Parting';

/** The head of the check. */

/** On a wide screen: where the target and the most urgent lookalike part. */
export function MostUrgent({
  id,
  find,
  verdict,
}: {
  readonly id: string;
  readonly find: Case;
  readonly verdict: Verdict;
}) {
  const same = verdict.rows.filter((row) => !row.otherKingdom);
  const urgent = same.find((row) => short(row) > 0) ?? same[0];
  if (!urgent) return null;
  return (
    <View style={styles.urgent}>
      <Heading>{t.whereTheyPart}</Heading>
      <BesideLink find={id} other={urgent.taxon} />
      <Parting find={find} other={urgent.taxon} most={7} />
    </View>
  );
}

export function Header({
  record,
  find,
  piece,
}: {
  readonly record: FindProps['record'];
  readonly find: Case;
  readonly piece: string;
}) {
  const wide = useWide();
  const number = record.pieces.findIndex((p) => p.id === piece) + 1;
  const where = [
    record.number ? t.find(record.number) : t.newFind,
    record.placeNote,
    record.pieces.length > 1 ? t.piece(number) : undefined,
  ];
  return (
    <View style={styles.header}>
      <View style={styles.grow}>
        <WaysOut
          ways={[
            { href: '/finds', label: t.finds },
            {
              href: { pathname: '/find/[id]/around', params: { id: record.id } },
              label: t.placeAndCondition,
            },
          ]}
        />
        {wide ? (
          <Small soft numberOfLines={1}>
            {where.filter(Boolean).join(' · ')}
          </Small>
        ) : null}
        <Title>{t.isIt(commonName(find.target))}</Title>
        <Small soft numberOfLines={1}>
          <Small soft style={styles.scientific}>
            {scientificName(find.target)}
          </Small>
          {wide ? '' : ` · ${where.filter(Boolean).join(' · ')}`}
        </Small>
      </View>
      {record.bodyPlan && wide ? (
        <BodyPlanGlyph plan={record.bodyPlan} size={64} colour={colour.ink} />
      ) : null}
    </View>
  );
}
