import { useState, useMemo } from 'react';
import { View, Pressable } from 'react-native';
import type { Character } from '@pause/core';
import {
  type Encounter,
  type Drawable,
  type LookedAt,
  type WalkDecision,
  individualOf,
} from '@pause/core/practice';
import { useWide, Button, Screen, WaysOut, Small, Title, SmallStrong } from '../../components';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/practice';
import {
  characterOf,
  lowerFirst,
  stageName,
  commonName,
  numberWord,
  timeWords,
  DAMAGE,
} from '../../text/names';
import { DECIDED, TO_PRACTICE } from '../../text/practice';
import { Look, Looked } from './Look';
import { TouchedSpecimen } from './TouchedSpecimen';
import { styles } from './woodStyles';

/** Meeting one specimen in the wood. */

interface MeetingProps {
  readonly plates: Plates;
  readonly encounter: Encounter;
  readonly drawable: Drawable;
  readonly at: number;
  readonly of: number;
  readonly gentle: boolean;
  readonly onDecide: (looks: readonly LookedAt[], decided: WalkDecision) => void;
}

/** A find as it is met: from afar first, then what one chooses to look at. */
export function Meeting({ plates, encounter, drawable, at, of, gentle, onDecide }: MeetingProps) {
  const { specimen, target } = encounter;
  const [looks, setLooks] = useState<readonly LookedAt[]>([]);
  const [chosen, setChosen] = useState<string>();
  const asked = chosen === undefined ? undefined : characterOf(chosen);

  return (
    <Screen
      strip={<Decisions gentle={gentle} onDecide={(decided) => onDecide(looks, decided)} />}
      rooms={false}
    >
      <WaysOut ways={TO_PRACTICE} />
      <View>
        <Small soft>{t.practiceWoodFindOfStage(at, of, lowerFirst(stageName(specimen.stage)))}</Small>
        <Title>{t.isIt(commonName(target.id))}</Title>
      </View>
      {asked ? (
        <Look
          key={asked.id}
          character={asked}
          specimen={specimen}
          drawable={drawable}
          onBack={() => setChosen(undefined)}
          onLooked={(look) => {
            setLooks([...looks, look]);
            setChosen(undefined);
          }}
        />
      ) : (
        <Looking plates={plates} encounter={encounter} looks={looks} onChoose={setChosen} />
      )}
    </Screen>
  );
}

interface LookingProps extends Pick<MeetingProps, 'plates' | 'encounter'> {
  readonly looks: readonly LookedAt[];
  readonly onChoose: (character: string) => void;
}

/** The specimen, what can be looked at on the part that was touched, and what has been seen. */
function Looking({ plates, encounter, looks, onChoose }: LookingProps) {
  const wide = useWide();
  const [organ, setOrgan] = useState<Character['organ']>();
  const open = openOf(encounter, looks);
  const one = useMemo(() => individualOf(encounter.specimen), [encounter.specimen]);
  return (
    <View style={wide ? styles.columns : styles.block}>
      <View style={[styles.block, wide && styles.grow]}>
        <TouchedSpecimen plates={plates} encounter={encounter} open={open} organ={organ} onOrgan={setOrgan} />
        {organ && looks.length === 0 ? null : <Small soft>{soFar(looks)}</Small>}
      </View>
      <View style={[styles.block, wide && styles.grow]}>
        {organ ? (
          <View role="list" aria-label={t.whatCanBeLookedAt} style={styles.lenses}>
            {open
              .filter((one) => one.organ === organ)
              .map((one) => (
                <Covered key={one.id} character={one} onChoose={onChoose} />
              ))}
          </View>
        ) : (
          <Small soft>{t.touchWhatYouLookAt}</Small>
        )}
        <Looked one={one} looks={looks} />
      </View>
    </View>
  );
}

/** What can be decided; a child shows it to an adult, and collects nothing. */
function Decisions({
  gentle,
  onDecide,
}: {
  readonly gentle: boolean;
  readonly onDecide: (decided: WalkDecision) => void;
}) {
  const outlined: readonly WalkDecision[] = gentle ? ['leave'] : ['collect', 'not-yet', 'leave'];
  return (
    <View style={styles.strip}>
      {gentle ? (
        <Button label={t.showItToAnAdult} style={styles.way} onPress={() => onDecide('not-yet')} />
      ) : null}
      {outlined.map((decided) => (
        <Button
          key={decided}
          label={DECIDED[decided]}
          tone="outline"
          style={styles.way}
          onPress={() => onDecide(decided)}
        />
      ))}
    </View>
  );
}

/** What can be looked at of this kind at this stage, and has not been looked at yet. */
function openOf({ specimen, target }: Encounter, looks: readonly LookedAt[]): Character[] {
  return guide.characters
    .filter(
      ({ id, character, stages, place }) =>
        !place &&
        character.kingdom === target.taxon.kingdom &&
        stages.has(specimen.stage) &&
        !looks.some((look) => look.character === id),
    )
    .map(({ character }) => character);
}

function soFar(looks: readonly LookedAt[]): string {
  const seconds = looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0);
  return looks.length === 0
    ? t.madeUpItNeverGrew
    : t.looksSoFar(looks.length, numberWord(looks.length), timeWords(seconds));
}

interface CoveredProps {
  readonly character: Character;
  readonly onChoose: (character: string) => void;
}

/** A lens that has not been looked through yet: how long it takes, and what it costs the plant. */
function Covered({ character: { id, name, seconds, damage }, onChoose }: CoveredProps) {
  return (
    <View role="listitem" style={styles.covered}>
      <Pressable
        role="button"
        aria-label={name}
        onPress={() => onChoose(id)}
        style={({ pressed }) => [styles.choice, pressed && styles.pressed]}
      >
        <View style={styles.glass}>
          <Small soft style={styles.centred}>
            {timeWords(seconds)}
          </Small>
        </View>
        <SmallStrong style={styles.centred}>{name}</SmallStrong>
        {damage === 'none' ? null : (
          <Small soft style={styles.centred}>
            {lowerFirst(DAMAGE[damage])}
          </Small>
        )}
      </Pressable>
    </View>
  );
}
