import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { leftOutOf } from '@pause/core/harvest/preparing';
import {
  Screen,
  Loading,
  Notice,
  useWide,
  Heading,
  Body,
  Small,
  Button,
  Title,
  Strong,
  SmallStrong,
} from '../../components';
import { changeFields } from '../../notebook/changeFields';
import { usePantry, type BatchPage, type Pantry, leftIn } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/pantry';
import { upper } from '../../text/names';
import { SPOILS, STORE, METHOD, amountWords, stepWords } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { stepsOf, keepsFor, spoilsFor, yieldFor, madesOf } from './batch';
import { Became, Ended, Held } from './BatchParts';
import { Ready } from './BatchReady';
import { styles, daysWords } from './batchStyles';
import { BoilingDown, Cooked } from './BoilingDown';
import { Comes } from './Comes';
import { Drying, Conditioning } from './Drying';
import { Steps } from './Steps';
import { Sums } from './Sums';
import { Timers } from './Timers';

/** One batch: what is done to it, what came of it, and all that it comes from. */
export function BatchScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const batch = pantry.batches.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  if (!batch)
    return (
      <Screen>
        <Notice whole title={t.thereIsNoSuchBatch} text={t.theLabelIsOfA} />
      </Screen>
    );
  return <Batch key={id} batch={batch} pantry={pantry} />;
}

function Batch({
  batch,
  pantry,
}: {
  readonly batch: BatchPage;
  readonly pantry: Pantry & { readonly ready: boolean };
}) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const { id, fields } = batch;
  const {
    name = t.aBatch,
    method,
    on,
    figures = {},
    steps: done = [],
    timers = [],
    weighings = [],
    looks = [],
    levels = [],
    readyOn,
    bestBefore,
    ended,
  } = fields;
  const steps = stepsOf(fields, pantry);
  const recalled = useRecalls(pantry).all.find((one) => one.id === id);
  const keeping = keepsFor(fields);
  const left = leftIn(pantry, batch);
  const spoils = spoilsFor(fields);
  const out = leftOutOf(steps, done);
  const making = readyOn === undefined && ended === undefined;
  const usual = yieldFor(pantry, fields);
  const work = (
    <View style={[styles.column, wide && styles.grow]}>
      <Timers id={id} steps={steps} timers={timers} />
      {making || !wide ? null : <Became batch={batch} held={recalled !== undefined} />}
      {making && method ? (
        <>
          <Steps id={id} steps={steps} done={done} />
          {method === 'dry' ? (
            <Drying
              id={id}
              weighings={weighings}
              usualLeft={Math.min(0.95, usual.yield)}
              leaves={(fields.contents ?? []).some(({ part }) => part === 'leaf' || part === 'shoot')}
            />
          ) : null}
          {method === 'dry' ? <Conditioning id={id} looks={looks} /> : null}
          {method === 'decoct' ? <BoilingDown id={id} levels={levels} target={fields.target} /> : null}
          <Sums id={id} method={method} figures={figures} />
          {method === 'cook' ? (
            <View style={styles.block}>
              <Heading>{t.inThePot}</Heading>
              <Cooked
                cooked={fields.cooked}
                made={madesOf(fields.contents)}
                onChange={(cooked) => void act(changeFields(id, 'batch', () => ({ cooked })))}
              />
            </View>
          ) : null}
          <Ready batch={batch} pantry={pantry} />
        </>
      ) : null}
      {!making && !wide ? <Became batch={batch} held={recalled !== undefined} /> : null}
    </View>
  );
  const about = (
    <View style={[styles.column, wide && styles.grow]}>
      {spoils.length > 0 ? (
        <View style={styles.block}>
          <Heading>{t.whatToMind}</Heading>
          <View role="list" aria-label={t.whatToMind} style={styles.block}>
            {spoils.map((one) => (
              <View key={one} role="listitem">
                <Body>{SPOILS[one]}</Body>
              </View>
            ))}
          </View>
          {keeping ? (
            <Small soft>
              {t.itKeepsAboutWhatLooks(
                daysWords(keeping.days),
                STORE[keeping.store],
                keeping.openedDays === undefined ? '' : t.opened(daysWords(keeping.openedDays)),
              )}
            </Small>
          ) : null}
        </View>
      ) : keeping ? (
        <Small soft>{t.itKeepsAboutWhatLooksOr(daysWords(keeping.days), STORE[keeping.store])}</Small>
      ) : null}
      <Comes id={id} pantry={pantry} />
      <View style={styles.ways}>
        <Button
          label={t.aLabelForIt}
          tone="outline"
          onPress={() => router.push({ pathname: '/labels', params: { id } })}
        />
        <Button
          label={t.someoneIsIllAfterIt}
          tone="outline"
          onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
        />
      </View>
      {ended ? null : <Ended id={id} />}
    </View>
  );
  return (
    <Screen>
      <View>
        <Small soft>
          {[method && METHOD[method][1], on && t.begun(isoDayName(on))].filter(Boolean).join(' · ')}
        </Small>
        <Title>{name}</Title>
        <Strong>
          {ended
            ? upper({ 'used-up': t.usedUp, 'thrown-out': t.thrownOut, spoilt: t.hasSpoilt }[ended.why])
            : making
              ? t.beingMade
              : [left && t.left(amountWords(left)), bestBefore && t.bestBefore(isoDayName(bestBefore))]
                  .filter(Boolean)
                  .join(', ')}
        </Strong>
      </View>
      {recalled ? <Held one={recalled} pantry={pantry} /> : null}
      {out.map(({ step, why }) => (
        <SmallStrong key={step.id}>{t.stepLeftOutBecause(stepWords(step), why)}</SmallStrong>
      ))}
      {wide ? (
        <View style={styles.columns}>
          {work}
          {about}
        </View>
      ) : (
        <>
          {work}
          {about}
        </>
      )}
    </Screen>
  );
}
