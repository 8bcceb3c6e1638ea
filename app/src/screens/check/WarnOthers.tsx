import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { FindRecord, TaxonId, Verdict } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { Body, Button, Chip, ChipRow, Heading, Small, Stack, SmallStrong } from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { type Place, useDay, usePlaces } from '../../notebook/usePlaces';
import { t } from '../../text/en/warnOthers';
import { listed } from '../../text/messages';
import { commonName } from '../../text/names';

/** What nobody collects: what it is as far as the guide goes, and the place at which others are warned of it. */
export function WarnOthers({ record, verdict }: WarnOthersProps) {
  const identified = verdict.reasons.find((reason) => reason.code === 'identified');
  return (
    <Stack gap="m">
      <Heading>
        {identified
          ? t.thisIs(listed([identified.target, ...identified.or].map(commonName), 'disjunction'))
          : t.itMayBe(commonName(verdict.target))}
      </Heading>
      <Body soft>
        {identified ? t.asFarAsTheGuideGoes(verdict.holds.fitGroups.length) : t.aSuspicionIsEnough}
      </Body>
      <AtPlace record={record} taxon={verdict.target} what={identified ? 'seen' : 'suspected'} />
    </Stack>
  );
}

interface WarnOthersProps {
  readonly record: FindRecord;
  readonly verdict: Verdict;
}

interface AtPlaceProps {
  readonly record: FindRecord;
  readonly taxon: TaxonId;
  readonly what: 'seen' | 'suspected';
}

/** So many places are on the screen together with the button. */
const MOST_PLACES = 3;

/** Marks it at one of the places that this person knows; everybody who picks there is warned. */
function AtPlace({ record, taxon, what }: AtPlaceProps) {
  const router = useRouter();
  const act = useAct();
  const today = isoOf(useDay());
  const { ready, places: all } = usePlaces();
  const here = record.edits.findLast(({ field }) => field === 'placePage')?.value;
  const [chosen, setChosen] = useState<string>();
  const [allShown, setAllShown] = useState(false);
  // Where it was found comes first; a place that this person may not know has no name to choose it by.
  const places = all
    .filter(({ withheld }) => !withheld)
    .sort((a, b) => Number(b.id === here) - Number(a.id === here));
  const shown = allShown ? places : places.slice(0, MOST_PLACES);
  const place = places.find(({ id }) => id === (chosen ?? here));
  const group = useGroupOf(place);
  if (!ready) return null;
  if (places.length === 0)
    return <Button label={t.makeAPlace} tone="outline" onPress={() => router.push('/places')} />;
  const isMarked = place?.page.sightings.some(
    (one) => one.taxon === taxon && one.on === today && one.what === what,
  );
  const mark = ({ id }: Place) =>
    void import('../../notebook/outside').then(({ sight }) =>
      act(
        sight(id, {
          on: today,
          taxon,
          what,
          ...(what === 'seen' && record.context.stages ? { stages: [...record.context.stages] } : {}),
        }),
      ),
    );
  return (
    <Stack gap="s">
      <SmallStrong>{t.whereIsIt}</SmallStrong>
      <ChipRow label={t.whereIsIt}>
        {shown.map(({ id, name }) => (
          <Chip key={id} label={name} chosen={id === place?.id} onPress={() => setChosen(id)} />
        ))}
        {shown.length < places.length ? (
          <Button
            label={t.otherPlaces(places.length - shown.length)}
            tone="plain"
            onPress={() => setAllShown(true)}
          />
        ) : null}
      </ChipRow>
      {place && isMarked ? (
        <Small role="status">{group ? t.markedAndTold(place.name, group) : t.marked(place.name)}</Small>
      ) : (
        <Button
          label={place ? t.markItAt(place.name) : t.markIt}
          disabled={!place}
          onPress={() => place && mark(place)}
        />
      )}
      {place && !isMarked ? <Small soft>{group ? t.theGroupHears(group) : t.onlyYouHear}</Small> : null}
    </Stack>
  );
}

const useGroupOf = (place: Place | undefined): string | undefined =>
  useApp(({ me: { person } }) => person?.groups.find(({ id }) => id === place?.page.group)?.name);
