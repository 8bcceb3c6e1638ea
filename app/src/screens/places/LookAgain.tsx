import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { TaxonId } from '@pause/core';
import { isoOf, type Day } from '@pause/core/lib/day';
import { metresBetween, middleOf } from '@pause/core/notebook/page/shape';
import { joinedByWalks, NEAR_METRES } from '@pause/core/outings';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Heading,
  Rule,
  Small,
  SmallStrong,
  space,
  Strong,
  Grow,
} from '../../components';
import { lookAgain } from '../../deciding/season/client';
import type { LookAgain as Planned, Question } from '../../deciding/season/look';
import { saveFile } from '../../lib/files';
import type { Place } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/walk';
import { CommonName, commonName, upper } from '../../text/names';
import { dayName } from '../../text/places';
import { few } from '../../text/reasons';

/** When to look again at what ripens: as few walks as the accepted risk allows. */

const RISKS = [0.05, 0.1, 0.25];
const SHOWN = 6;

interface Visit {
  readonly day: Day;
  readonly places: readonly Place[];
  /** What ripens there. */
  readonly taxa: readonly TaxonId[];
}

function visitsOf(
  walks: readonly (readonly string[])[],
  planned: readonly Planned[],
  places: readonly Place[],
): Visit[] {
  return planned
    .flatMap(({ days, missed }, index) => {
      const there = places.filter(
        ({ id }) => walks[index]?.includes(id) && missed.some(({ place }) => place === id),
      );
      return days.map((day): Visit => ({
        day,
        places: there,
        taxa: [...new Set(missed.map(({ taxon }) => taxon))],
      }));
    })
    .sort((a, b) => a.day - b.day);
}

const namesOf = (places: readonly Place[]) => few(places.map(({ name }) => name));

function saveVisits(visits: readonly Visit[]): void {
  void import('@pause/core/formats/files').then(({ toCalendar }) =>
    saveFile(
      'look-again.ics',
      'text/calendar',
      toCalendar(
        t.pause,
        visits.map(({ day, places, taxa }) => ({
          id: `look-${isoOf(day)}-${places.map(({ id }) => id).join('-')}`,
          title: t.lookAgain(namesOf(places), dayName(day)),
          when: { day: isoOf(day) },
          text: taxa.map(CommonName).join(', '),
        })),
        new Date(),
      ),
    ),
  );
}

/** The plan for an accepted risk, asked anew when that or the walks change. */
function usePlan(question: Question, places: readonly Place[]) {
  const [risk, setRisk] = useState<number | undefined>();
  const [visits, setVisits] = useState<readonly Visit[] | undefined>();
  const choose = (chosen: number, walks: readonly (readonly string[])[]) => {
    setRisk(chosen);
    void lookAgain(question, walks, chosen).then((planned) => setVisits(visitsOf(walks, planned, places)));
  };
  return { risk, visits, choose };
}

function Risks({
  chosen,
  onChoose,
}: {
  readonly chosen: number | undefined;
  readonly onChoose: (risk: number) => void;
}) {
  return (
    <ChipRow label={t.howOftenItsGoodDays}>
      {RISKS.map((one) => (
        <Chip
          key={one}
          label={t.shareInTwenty(Math.round(one * 20))}
          chosen={chosen === one}
          onPress={() => onChoose(one)}
        />
      ))}
    </ChipRow>
  );
}

function After({ visits }: { readonly visits: readonly Visit[] }) {
  return (
    <>
      <Small soft>{t.itIsPlannedAnewFrom}</Small>
      {visits.length > 0 ? (
        <Button
          label={t.intoMyCalendar}
          tone="outline"
          style={styles.start}
          onPress={() => saveVisits(visits)}
        />
      ) : null}
    </>
  );
}

function nearTo(place: Place, places: readonly Place[]): readonly Place[] {
  const { shape } = place.fields;
  return shape
    ? places.filter(
        (other) =>
          other.id !== place.id &&
          other.fields.shape &&
          metresBetween(middleOf(shape), middleOf(other.fields.shape)) <= NEAR_METRES,
      )
    : [];
}

/** Of one place, and of what is near to it if one walk is to join them. */
export function LookAgain({
  place,
  places,
  question,
}: {
  readonly place: Place;
  readonly places: readonly Place[];
  readonly question: Question;
}) {
  const near = nearTo(place, places);
  const { risk, visits, choose } = usePlan(question, places);
  const [joined, setJoined] = useState(false);
  const ask = (chosen: number, together: boolean) => {
    setJoined(together);
    choose(chosen, [[place.id, ...(together ? near.map(({ id }) => id) : [])]]);
  };
  return (
    <View style={styles.block}>
      <SmallStrong>{t.daysToLookAgainIn}</SmallStrong>
      <Risks chosen={risk} onChoose={(one) => ask(one, joined)} />
      {near.length > 0 ? (
        <ChipRow label={t.whetherOneWalkJoinsWhat}>
          <Chip
            kind="checkbox"
            label={t.inOneWalkWith(namesOf(near))}
            chosen={joined}
            onPress={() => ask(risk ?? 0.1, !joined)}
          />
        </ChipRow>
      ) : null}
      {visits ? (
        <>
          <Body>
            {visits.length === 0
              ? t.noWalkIsNeededFor
              : `${upper(t.walks(visits.length))}: ${visits.map(({ day }) => dayName(day)).join(', ')}.`}
          </Body>
          <After visits={visits} />
        </>
      ) : null}
    </View>
  );
}

/** Of all places, those that are near to one another joined. */
export function AllLookAgain({
  places,
  question,
}: {
  readonly places: readonly Place[];
  readonly question: Question;
}) {
  const { risk, visits, choose } = usePlan(question, places);
  const [all, setAll] = useState(false);
  const shown = all ? visits : visits?.slice(0, SHOWN);
  return (
    <View style={styles.block}>
      <Heading>{t.whenToLookAgain}</Heading>
      <Body>{t.inHowManyYearsOf}</Body>
      <Risks
        chosen={risk}
        onChoose={(one) =>
          choose(one, joinedByWalks(places.map(({ id, fields: { shape } }) => ({ id, shape }))))
        }
      />
      {visits && shown ? (
        <>
          {visits.length === 0 ? (
            <Body>{t.nothingLeftToPlan}</Body>
          ) : (
            <View role="list" aria-label={t.walksToLookAgain}>
              <Rule />
              {shown.map(({ day, places: there, taxa }) => (
                <View key={`${day} ${there.map(({ id }) => id).join()}`} role="listitem">
                  <View style={styles.visit}>
                    <Strong style={styles.day}>{dayName(day)}</Strong>
                    <Grow>
                      <Body>{upper(namesOf(there))}</Body>
                      <Small soft>{upper(few(taxa.map(commonName)))}</Small>
                    </Grow>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          )}
          {shown.length < visits.length ? (
            <Button
              label={placesText.more(visits.length - shown.length)}
              tone="plain"
              style={styles.start}
              onPress={() => setAll(true)}
            />
          ) : null}
          <After visits={visits} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s, marginTop: space.s },
  visit: { flexDirection: 'row', gap: space.m, paddingVertical: space.m },
  day: { width: 128 },
  start: { alignSelf: 'flex-start' },
});
