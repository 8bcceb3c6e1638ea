import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type FindRecord, type TaxonId, isCollectable } from '@pause/core';
import type { Identification, Candidate } from '@pause/core/advice/identify';
import { Button, Chip, Rule, Small, SmallStrong, Strong } from '../../../components';
import { TaxonDrawing } from '../../../components/plates/TaxonDrawing';
import { usualStage } from '../../../components/plates/TaxonSmall';
import { guide } from '../../../deciding/guide';
import { changeContext } from '../../../notebook/actions';
import { useAct } from '../../../notebook/store';
import { t } from '../../../text/en/naming';
import { factLine } from '../../../text/messages';
import { openNameWords, scientificName, CommonName, harmLine, commonName } from '../../../text/names';
import { Chance, percent } from './Chance';
import { styles } from './namingStyles';

/** What a find may be, likeliest first. */

/** So many candidates stand in view; the rest is one tap away. */
const SHOWN = 5;
/** Besides them, dangerous ones that are less likely. */
const DANGEROUS_SHOWN = 3;
const MOST_SHOWN = 15;

const NOTHING = new Set<string>();

interface CandidatesProps {
  readonly identification: Identification;
  readonly record: FindRecord;
  readonly onName: (taxon: TaxonId, to?: 'check' | 'verdict') => void;
}

export function Candidates({ identification, record, onName }: CandidatesProps) {
  const router = useRouter();
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<TaxonId>();
  const [pair, setPair] = useState<readonly TaxonId[]>([]);
  const shown = all ? identification.candidates.slice(0, MOST_SHOWN) : firstOf(identification.candidates);
  const compare = (taxon: TaxonId) =>
    setPair(pair.includes(taxon) ? pair.filter((other) => other !== taxon) : [...pair.slice(-1), taxon]);
  return (
    <View style={styles.block}>
      <View style={styles.block} role="list" aria-label={t.candidates}>
        {shown.map((candidate) => (
          <View key={candidate.taxon} role="listitem">
            <CandidateLine
              candidate={candidate}
              opened={open === candidate.taxon}
              onOpen={() => setOpen(open === candidate.taxon ? undefined : candidate.taxon)}
            />
            {open === candidate.taxon ? (
              <CandidateWays
                candidate={candidate}
                onName={onName}
                compared={pair.includes(candidate.taxon)}
                onCompare={() => compare(candidate.taxon)}
              />
            ) : null}
            <Rule />
          </View>
        ))}
      </View>
      {identification.none > 0.02 ? (
        <Small soft>{t.somethingThatIsNotIn(percent(identification.none))}</Small>
      ) : null}
      <View style={styles.ways}>
        {identification.candidates.length > SHOWN ? (
          <Button label={all ? t.fewer : t.more} tone="plain" onPress={() => setAll(!all)} />
        ) : null}
        {pair.length === 2 ? (
          <Button
            label={t.compareTheseTwo}
            tone="outline"
            onPress={() => router.push({ pathname: '/pair', params: { a: pair[0], b: pair[1] } })}
          />
        ) : null}
      </View>
      {record.readings.length > 0 ? (
        <NameOpen record={record} identification={identification} pair={pair} />
      ) : null}
    </View>
  );
}

/** The likeliest, and the likeliest dangerous ones that nothing seen speaks against, however likely others are. */
function firstOf(candidates: readonly Candidate[]): readonly Candidate[] {
  const likeliest = candidates.slice(0, SHOWN);
  const dangerous = candidates
    .slice(SHOWN)
    .filter(({ grade, fitsEverything }) => fitsEverything && (grade === 'deadly' || grade === 'serious'));
  return [...likeliest, ...dangerous.slice(0, DANGEROUS_SHOWN)];
}

interface CandidateWaysProps extends Pick<CandidatesProps, 'onName'> {
  readonly candidate: Candidate;
  readonly compared: boolean;
  readonly onCompare: () => void;
}

/** What can be done with a candidate. */
function CandidateWays({ candidate: { taxon, grade }, onName, compared, onCompare }: CandidateWaysProps) {
  return (
    <View style={styles.ways}>
      <Button label={t.iTakeItForThis} onPress={() => onName(taxon)} />
      {grade === 'deadly' || grade === 'serious' ? (
        <Button label={t.aDangerousOneStandsHere} tone="outline" onPress={() => onName(taxon, 'verdict')} />
      ) : null}
      <Chip kind="checkbox" label={t.compare} chosen={compared} onPress={onCompare} />
    </View>
  );
}

/** Leaves the name open: the genus, the family, or one of two. */
function NameOpen({
  record,
  identification,
  pair,
}: Omit<CandidatesProps, 'onName'> & { readonly pair: readonly TaxonId[] }) {
  const act = useAct();
  const router = useRouter();
  const [family] = identification.families;
  const genus = genusOf(identification.candidates[0]?.taxon);
  const leaveOpen = (openName: NonNullable<FindRecord['context']['openName']>) => {
    void act(changeContext(record.id, { openName })).then(
      (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
    );
  };
  return (
    <View style={styles.block}>
      <SmallStrong>{t.leaveTheNameOpenIt}</SmallStrong>
      <View style={styles.ways}>
        {genus ? (
          <Button
            label={t.genusOnly(genus)}
            tone="outline"
            onPress={() => leaveOpen({ kind: 'genus', name: genus })}
          />
        ) : null}
        {family && family.probability > 0.5 ? (
          <Button
            label={t.familyOnly(family.family)}
            tone="outline"
            onPress={() => leaveOpen({ kind: 'family', name: family.family })}
          />
        ) : null}
        {pair.length === 2 ? (
          <Button
            label={t.oneOfTwo(openNameWords({ kind: 'one-of', taxa: [...pair] }))}
            tone="outline"
            onPress={() => leaveOpen({ kind: 'one-of', taxa: [...pair] })}
          />
        ) : null}
      </View>
      {pair.length < 2 ? <Small soft>{t.forOneOfTwoOpen}</Small> : null}
    </View>
  );
}

const genusOf = (taxon: TaxonId | undefined) => (taxon ? scientificName(taxon).split(' ')[0] : undefined);

function CandidateLine({
  candidate,
  opened,
  onOpen,
}: {
  readonly candidate: Candidate;
  readonly opened: boolean;
  readonly onOpen: () => void;
}) {
  const taxon = guide.taxon(candidate.taxon);
  const stage = taxon && usualStage(taxon);
  return (
    <View style={styles.candidate}>
      <View style={styles.plate}>
        {taxon && stage ? (
          <TaxonDrawing taxon={taxon} stage={stage} height={72} accent={NOTHING} scale={false} />
        ) : null}
      </View>
      <View style={styles.grow}>
        <Strong>{CommonName(candidate.taxon)}</Strong>
        <Small soft={candidate.grade === 'none'}>
          {factLine(
            candidate.grade === 'none' ? scientificName(candidate.taxon) : harmLine(candidate.taxon),
            !candidate.fitsEverything && t.somethingSpeaksAgainstIt,
            taxon && taxon.taxon.parts.length > 0 && !isCollectable(taxon) && t.neverCollectedWithPause,
          )}
        </Small>
        <Chance probability={candidate.probability} />
      </View>
      <Button
        label={opened ? t.close : t.choose}
        tone="plain"
        aria-label={`${opened ? t.close : t.choose}: ${commonName(candidate.taxon)}`}
        aria-expanded={opened}
        onPress={onOpen}
      />
    </View>
  );
}
