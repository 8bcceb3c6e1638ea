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
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
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
        <Loading what={pantryText.openingTheNotebook} />
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

interface BatchProps {
  readonly batch: BatchPage;
  readonly pantry: Pantry & { readonly ready: boolean };
}

function Batch({ batch, pantry }: BatchProps) {
  const wide = useWide();
  const { id, fields } = batch;
  const recalled = useRecalls(pantry).all.find((one) => one.id === id);
  const leftOut = leftOutOf(stepsOf(fields, pantry), fields.steps ?? []);
  const columns = (
    <>
      <View style={[styles.column, wide && styles.grow]}>
        <Work batch={batch} pantry={pantry} held={recalled !== undefined} />
      </View>
      <View style={[styles.column, wide && styles.grow]}>
        <About batch={batch} pantry={pantry} />
      </View>
    </>
  );
  return (
    <Screen>
      <BatchHead batch={batch} pantry={pantry} />
      {recalled ? <Held one={recalled} pantry={pantry} /> : null}
      {leftOut.map(({ step, why }) => (
        <SmallStrong key={step.id}>{pantryText.stepLeftOutBecause(stepWords(step), why)}</SmallStrong>
      ))}
      {wide ? <View style={styles.columns}>{columns}</View> : columns}
    </Screen>
  );
}

const ENDED = {
  'used-up': pantryText.usedUp,
  'thrown-out': pantryText.thrownOut,
  spoilt: pantryText.hasSpoilt,
};

/** It is still being made. */
const isMade = ({ fields: { readyOn, ended } }: BatchPage) => readyOn === undefined && ended === undefined;

function BatchHead({ batch, pantry }: BatchProps) {
  const { name = pantryText.aBatch, method, on, bestBefore, ended } = batch.fields;
  const left = leftIn(pantry, batch);
  return (
    <View>
      <Small soft>
        {[method && METHOD[method][1], on && pantryText.begun(isoDayName(on))].filter(Boolean).join(' · ')}
      </Small>
      <Title>{name}</Title>
      <Strong>
        {ended
          ? upper(ENDED[ended.why])
          : isMade(batch)
            ? pantryText.beingMade
            : [
                left && pantryText.left(amountWords(left)),
                bestBefore && pantryText.bestBefore(isoDayName(bestBefore)),
              ]
                .filter(Boolean)
                .join(', ')}
      </Strong>
    </View>
  );
}

/** What is done to it, and what became of it. */
function Work({ batch, pantry, held }: BatchProps & { readonly held: boolean }) {
  const wide = useWide();
  const { id, fields } = batch;
  const steps = stepsOf(fields, pantry);
  const making = isMade(batch);
  return (
    <>
      <Timers id={id} steps={steps} timers={fields.timers ?? []} />
      {making || !wide ? null : <Became batch={batch} held={held} />}
      {making && fields.method ? (
        <>
          <Steps id={id} steps={steps} done={fields.steps ?? []} />
          <MethodWork batch={batch} pantry={pantry} method={fields.method} />
          <Ready batch={batch} pantry={pantry} />
        </>
      ) : null}
      {!making && !wide ? <Became batch={batch} held={held} /> : null}
    </>
  );
}

/** What the method of a batch asks for: weighing, looking, boiling down, sums. */
function MethodWork({
  batch: { id, fields },
  pantry,
  method,
}: BatchProps & { readonly method: NonNullable<BatchPage['fields']['method']> }) {
  const act = useAct();
  const { contents = [], weighings = [], looks = [], levels = [], figures = {} } = fields;
  return (
    <>
      {method === 'dry' ? (
        <>
          <Drying
            id={id}
            weighings={weighings}
            usualLeft={Math.min(0.95, yieldFor(pantry, fields).yield)}
            leaves={contents.some(({ part }) => part === 'leaf' || part === 'shoot')}
          />
          <Conditioning id={id} looks={looks} />
        </>
      ) : null}
      {method === 'decoct' ? <BoilingDown id={id} levels={levels} target={fields.target} /> : null}
      <Sums id={id} method={method} figures={figures} />
      {method === 'cook' ? (
        <View style={styles.block}>
          <Heading>{t.inThePot}</Heading>
          <Cooked
            cooked={fields.cooked}
            made={madesOf(contents)}
            onChange={(cooked) => void act(changeFields(id, 'batch', () => ({ cooked })))}
          />
        </View>
      ) : null}
    </>
  );
}

/** What to mind, what it comes from, and what else can be done with it. */
function About({ batch: { id, fields }, pantry }: BatchProps) {
  const router = useRouter();
  return (
    <>
      <ToMind fields={fields} />
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
      {fields.ended ? null : <Ended id={id} />}
    </>
  );
}

function ToMind({ fields }: Pick<BatchPage, 'fields'>) {
  const keeping = keepsFor(fields);
  const spoils = spoilsFor(fields);
  if (spoils.length === 0)
    return keeping ? (
      <Small soft>{t.itKeepsAboutWhatLooksOr(daysWords(keeping.days), STORE[keeping.store])}</Small>
    ) : null;
  return (
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
          {keeping.openedDays === undefined
            ? t.itKeepsAboutWhatLooksOr(daysWords(keeping.days), STORE[keeping.store])
            : t.itKeepsAboutAndOpened(
                daysWords(keeping.days),
                STORE[keeping.store],
                daysWords(keeping.openedDays),
              )}
        </Small>
      ) : null}
    </View>
  );
}
