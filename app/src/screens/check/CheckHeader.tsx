import { Link } from 'expo-router';
import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import { type Case, type PieceId, type Verdict, short } from '@pause/core';
import { Heading, useWide, WaysOut, Small, SmallStrong, Title, colour } from '../../components';
import type { FindProps } from '../../components/FindFrame';
import { BodyPlanGlyph } from '../../components/plates/BodyPlanGlyph';
import { t } from '../../text/en/check';
import { factLine } from '../../text/messages';
import { commonName, scientificName } from '../../text/names';
import { BesideLink } from './beside/BesideLink';
import type { CheckNow } from './CheckParts';
import { styles } from './checkStyles';
import { Parting } from './Parting';

/** The head of the check. */

/** What is asked of the find; or what it is, where nobody collects that and the guide goes so far. */
export const titleOf = ({ target, reasons }: Verdict): string =>
  reasons.some((reason) => reason.code === 'identified' && reason.or.length === 0)
    ? t.thisIs(commonName(target))
    : t.isIt(commonName(target));

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

/** On a phone, below the question: which find it is, and the way to place and condition. */
export function FindDetails(props: HeaderProps) {
  return (
    <View>
      <Link href={{ pathname: '/find/[id]/around', params: { id: props.record.id } }} asChild>
        <Pressable role="link" style={styles.topLink}>
          <SmallStrong style={styles.underlined}>{t.placeAndCondition}</SmallStrong>
        </Pressable>
      </Link>
      <Which {...props} />
    </View>
  );
}

/** The ways out, where the rooms do not stand at the side. */
function Ways({ id }: { readonly id: string }) {
  const around = { pathname: '/find/[id]/around', params: { id } } as const;
  return (
    <WaysOut
      ways={[
        { href: '/finds', label: t.finds },
        { href: around, label: t.placeAndCondition },
      ]}
    />
  );
}

/** Where all of it scrolls and the question comes first: the ways out above it, and which find it is below it. */
export function Low({ children, title, ...props }: LowProps) {
  return (
    <>
      <Ways id={props.record.id} />
      {children}
      <Title>{title}</Title>
      <Which {...props} />
    </>
  );
}

interface LowProps extends HeaderProps {
  readonly children: React.ReactNode;
  readonly title: string;
}

/** The find, where it was found, and the piece where there are several. */
function whichWords({ record, piece }: Pick<HeaderProps, 'record' | 'piece'>): string {
  const number = record.pieces.findIndex((p) => p.id === piece) + 1;
  return factLine(
    record.number ? t.find(record.number) : t.newFind,
    record.placeNote,
    record.pieces.length > 1 && t.piece(number),
  );
}

function Which({ find, ...which }: HeaderProps) {
  return (
    <Small soft>
      <Small soft style={styles.scientific}>
        {scientificName(find.target)}
      </Small>
      {` · ${whichWords(which)}`}
    </Small>
  );
}

interface HeaderProps {
  readonly record: FindProps['record'];
  readonly find: Case;
  readonly piece: string;
}

function Header({ record, find, piece, title }: HeaderProps & { readonly title: string }) {
  const wide = useWide();
  const which = whichWords({ record, piece });
  return (
    <View style={styles.header}>
      <View style={styles.grow}>
        <Ways id={record.id} />
        {wide ? (
          <Small soft numberOfLines={1}>
            {which}
          </Small>
        ) : null}
        <Title>{title}</Title>
        <Small soft numberOfLines={1}>
          <Small soft style={styles.scientific}>
            {scientificName(find.target)}
          </Small>
          {wide ? '' : ` · ${which}`}
        </Small>
      </View>
      {record.bodyPlan && wide ? (
        <BodyPlanGlyph plan={record.bodyPlan} size={64} colour={colour.ink} />
      ) : null}
    </View>
  );
}

/** The head where there is room for it; drawn anew only where it says something else. */
export function useHeader({ record, find, evaluation }: CheckNow, piece: PieceId): React.ReactElement {
  const title = titleOf(evaluation.verdict);
  return useMemo(
    () => <Header record={record} find={find} piece={piece} title={title} />,
    [record, find, piece, title],
  );
}
