import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type CompiledTaxon,
  type CompiledCharacter,
  type Known,
  union,
  harms,
  READINGS_NEEDED,
} from '@pause/core';
import { useWide, Heading, OrganGlyph, colour, Small, Rule, Button } from '../../components';
import { latePart } from '../../components/latePart';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/taxon';
import { commonName } from '../../text/names';
import { knownWords } from './stated';
import { styles } from './taxonStyles';
import type { TaxonProps } from './TaxonUses';

/** What the guide says of a taxon, and who read it. */

/** Every character that the guide states of a taxon, in words. */
function rowsOf(taxon: CompiledTaxon) {
  return guide.characters.flatMap((c) => {
    const known = statedOf(taxon, c);
    if (!known) return [];
    return [
      {
        id: c.id,
        organ: c.character.organ,
        name: c.character.name,
        words: knownWords(taxon, c.id, c.index, known),
        read: readWords(taxon.taxon, c.id),
      },
    ];
  });
}

/** What can be seen of it, as a table by organ. */
export function Characters({ taxon }: TaxonProps) {
  const wide = useWide();
  const rows = useMemo(() => rowsOf(taxon), [taxon]);
  const [readers, setReaders] = useState(false);
  const organs = [...new Set(rows.map((row) => row.organ))];
  return (
    <View style={styles.block}>
      <Heading>{t.whatIsToBeSeen}</Heading>
      <View
        role="table"
        aria-label={t.charactersOf(commonName(taxon.id))}
        style={wide ? styles.columns : undefined}
      >
        {organs.map((organ) => (
          <View key={organ} role="rowgroup" style={wide ? styles.column : undefined}>
            {rows
              .filter((row) => row.organ === organ)
              .map((row, i) => (
                <CharacterRow key={row.id} row={row} first={i === 0} taxon={taxon} readers={readers} />
              ))}
          </View>
        ))}
      </View>
      <Button
        label={readers ? t.hideWhoReadWhat : t.whoReadWhat}
        tone="plain"
        style={styles.start}
        onPress={() => setReaders(!readers)}
      />
      {readers ? <ReadBy taxon={taxon} /> : null}
      {taxon.taxon.signature.length > 0 ? <Small soft>{t.oneOfItsOwnMarks}</Small> : null}
    </View>
  );
}

interface CharacterRowProps extends TaxonProps {
  readonly row: ReturnType<typeof rowsOf>[number];
  /** The first of its organ: with its glyph. */
  readonly first: boolean;
  readonly readers: boolean;
}

function CharacterRow({ row, first, taxon, readers }: CharacterRowProps) {
  return (
    <View>
      <View role="row" style={styles.row}>
        <View style={styles.glyph}>
          {first ? <OrganGlyph organ={row.organ} size={18} colour={colour.ink} /> : null}
        </View>
        <Small role="rowheader" soft style={styles.name}>
          {row.name}
          {taxon.taxon.signature.includes(row.id) ? ' ◆' : ''}
        </Small>
        <Small role="cell" style={styles.value}>
          {row.words}
          {readers ? <Small soft>{`  ${row.read}`}</Small> : null}
        </Small>
      </View>
      <Rule />
    </View>
  );
}

/** What is stated, over all stages: without what is only supposed so that it bars nothing. */
function statedOf(taxon: CompiledTaxon, character: CompiledCharacter): Known | undefined {
  const [first, ...rest] = taxon.atStage.get(character.index)?.values() ?? [];
  return first && rest.reduce((all, one) => union(all, one, character), first);
}

/** How many read it: "read by 3", or that too few did for it to rule anything out. */
function readWords(taxon: CompiledTaxon['taxon'], character: string): string {
  const counts = taxon.statements
    .filter((one) => one.character === character)
    .map(({ readBy = [] }) => readBy.length);
  const least = Math.min(...counts);
  return harms(taxon.harm) && least < READINGS_NEEDED
    ? t.readByItRulesNothing(least)
    : least > 0
      ? t.readBy(least)
      : '';
}

const ReadBy = latePart(
  () => import('./ReadBy').then((m) => m.ReadBy),
  () => null,
);

export function Sources({ taxon: { taxon } }: TaxonProps) {
  return (
    <>
      <Small soft>
        {taxon.review.reviewedBy
          ? t.reviewedBy(taxon.review.reviewedBy)
          : t.generalKnowledgeOnWhichReferences}
      </Small>
      <Reviews taxon={taxon.id} />
    </>
  );
}

const Reviews = latePart(
  () => import('../withPeople').then((m) => m.Reviews),
  () => null,
);
