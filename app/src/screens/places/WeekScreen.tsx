import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { isCollectable } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { suits, notWorthIt } from '@pause/core/outings';
import { Screen, Loading, Title, Notice, Small, Button, SmallStrong, Body } from '../../components';
import { guide } from '../../deciding/guide';
import { stopLooking } from '../../deciding/season/client';
import { useApp } from '../../notebook/store';
import { usePlaces, useEaters } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/week';
import { CommonName, lowerFirst } from '../../text/names';
import { AllLookAgain } from './LookAgain';
import { SeasonChart } from './SeasonChart';
import { useAhead } from './useAhead';
import { type WeekProps, Ways, Never, Weather } from './WeekParts';
import { styles } from './weekStyles';
import type { Range } from './WindowBar';

const WEEKDAY = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
});

const [BACK, AHEAD] = [40, 80];

/** What is worth going for: now, soon, and for the last days. */
export function WeekScreen() {
  const { ready, places } = usePlaces();
  const router = useRouter();
  const { looked, share, failed, question, weatherChanged } = useAhead(places);
  const eaters = useEaters();
  if (!ready)
    return (
      <Screen>
        <Loading what={placesText.openingTheNotebook} />
      </Screen>
    );
  if (places.length === 0) {
    return (
      <Screen>
        <Title>{t.whatIsWorthGoingFor}</Title>
        <Notice
          title={t.thereIsNoPlaceYet}
          text={t.putDownThePlacesThat}
          action={placesText.putDownAPlace}
          onAction={() => router.push('/places')}
        />
      </Screen>
    );
  }
  return (
    <Screen full>
      <View>
        <Title>{t.whatIsWorthGoingFor}</Title>
        {looked ? <Small soft>{WEEKDAY.format(new Date(`${isoOf(looked.today)}T12:00:00Z`))}</Small> : null}
      </View>
      {failed === undefined ? null : <Notice title={t.lookingAheadDidNotWork} text={failed} />}
      {looked ? (
        <Week
          looked={looked}
          places={places}
          eaters={eaters}
          question={question}
          onWeather={weatherChanged}
        />
      ) : failed === undefined ? (
        <Underway share={share} />
      ) : null}
    </Screen>
  );
}

/** With many places it takes a while, and whoever has seen enough stops it. */
function Underway({ share }: { readonly share: number | undefined }) {
  return (
    <View style={styles.block}>
      <Loading
        what={share === undefined ? placesText.lookingAhead : t.lookingAheadPercent(Math.round(share * 100))}
      />
      {share === undefined ? null : (
        <Button
          label={t.stopAndShowWhatIs}
          tone="outline"
          style={styles.start}
          onPress={() => void stopLooking()}
        />
      )}
    </View>
  );
}

function Week({ looked, places, eaters, question, onWeather }: WeekProps) {
  const demo = useApp((state) => state.me.person?.demo === true);
  const { list, today, simulated, stoppedAt } = looked;
  const range: Range = { from: today - BACK, to: today + AHEAD };
  const { worth, rest, never } = sortedBy(list, places, eaters);
  return (
    <>
      {stoppedAt === undefined ? null : (
        <SmallStrong>{t.itWasStoppedPercentOf(Math.round(stoppedAt * 100))}</SmallStrong>
      )}
      {list.length === 0 ? <Body>{t.nothingThatWasSeenAtYour}</Body> : null}
      <SeasonChart entries={worth} range={range} today={today} />
      {rest.length > 0 ? (
        <Small soft>
          {t.leftOutSinceNobodyOf(
            [...new Set(rest.map(({ one }) => CommonName(one.taxon)))].map(lowerFirst).join(', '),
          )}
        </Small>
      ) : null}
      <Small soft>
        {t.thickWhereItIsLikelier(
          simulated
            ? t.noWeatherOfYourOwn(demo ? t.theDemosValleyHasMade : t.aMadeUpValleyStands)
            : t.byTheWeatherThatYou,
        )}
      </Small>
      <Ways />
      <Never taxa={never} />
      {list.some(({ when }) => when === 'soon' || when === 'later') ? (
        <AllLookAgain places={places} question={question} />
      ) : null}
      <Weather simulated={simulated} onChange={onWeather} />
    </>
  );
}

/** What is worth the way, what nobody of the household wants, and what is never collected. */
function sortedBy(
  list: WeekProps['looked']['list'],
  places: WeekProps['places'],
  eaters: WeekProps['eaters'],
) {
  const household = eaters.map(({ id, fields }) => ({ id, ...fields }));
  const known = list.flatMap((one) => {
    const [place, taxon] = [places.find(({ id }) => id === one.place), guide.taxon(one.taxon)];
    const part = taxon?.taxon.parts[one.part];
    return place && taxon && part ? [{ one, place, taxon, part, suit: suits(household, taxon, part) }] : [];
  });
  const collected = known.filter(({ taxon }) => isCollectable(taxon));
  const never = known.filter(({ taxon }) => !isCollectable(taxon)).map(({ taxon }) => taxon);
  return {
    worth: collected.filter(({ suit }) => !notWorthIt(household, suit)),
    rest: collected.filter(({ suit }) => notWorthIt(household, suit)),
    never: [...new Map(never.map((taxon) => [taxon.id, taxon])).values()],
  };
}
