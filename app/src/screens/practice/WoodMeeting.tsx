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
import {
  useWide,
  Button,
  Screen,
  WaysOut,
  Small,
  Title,
  PlateView,
  Strong,
  Heading,
  ChipRow,
  Chip,
  Rule,
} from '../../components';
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

const ORGAN: Readonly<Record<Character['organ'], string>> = {
  habit: t.theWhole,
  stem: t.stem,
  leaf: t.leaf,
  flower: t.flower,
  fruit: t.fruit,
  root: t.root,
  cap: t.cap,
  hymenophore: t.underTheCap,
  stipe: t.stem,
  flesh: t.flesh,
  spores: t.spores,
  smell: t.smell,
  veil: t.veilAndVolva,
  place: t.place,
};

/** A find as it is met: from afar first, then what one chooses to look at. */
export function Meeting({ plates, encounter, drawable, at, of, gentle, onDecide }: MeetingProps) {
  const wide = useWide();
  const { specimen, target } = encounter;
  const [looks, setLooks] = useState<readonly LookedAt[]>([]);
  const [organ, setOrgan] = useState<Character['organ']>();
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
        <View style={wide ? styles.columns : styles.block}>
          <View style={[styles.block, wide && styles.grow]}>
            <FromAfar plates={plates} encounter={encounter} looks={looks} />
            <Looked looks={looks} />
          </View>
          <View style={[styles.block, wide && styles.grow]}>
            <LookCloser
              encounter={encounter}
              looks={looks}
              organ={organ}
              setOrgan={setOrgan}
              onChoose={setChosen}
            />
          </View>
        </View>
      )}
    </Screen>
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

function FromAfar({
  plates,
  encounter: { specimen, target },
  looks,
}: Pick<MeetingProps, 'plates' | 'encounter'> & { readonly looks: readonly LookedAt[] }) {
  const plate = useMemo(
    () => plates.individualPlate(guide, individualOf(specimen), target.taxon.kingdom),
    [plates, specimen, target],
  );
  const seconds = looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0);
  return (
    <View style={styles.afar}>
      <PlateView plate={plate} pathOf={plates.pathData} height={200} wash />
      <View style={styles.grow}>
        <Strong>{t.fromWhereYouStand}</Strong>
        <Small soft>
          {looks.length === 0
            ? t.madeUpItNeverGrew
            : t.looksSoFar(looks.length, numberWord(looks.length), timeWords(seconds))}
        </Small>
      </View>
    </View>
  );
}

interface LookCloserProps {
  readonly encounter: Encounter;
  readonly looks: readonly LookedAt[];
  readonly organ: Character['organ'] | undefined;
  readonly setOrgan: (organ: Character['organ'] | undefined) => void;
  readonly onChoose: (character: string) => void;
}

/** Organ by organ, what can still be looked at. */
function LookCloser({ encounter, looks, organ, setOrgan, onChoose }: LookCloserProps) {
  const { specimen, target } = encounter;
  const all = guide.characters
    .filter(
      ({ character, stages, place }) =>
        !place && character.kingdom === target.taxon.kingdom && stages.has(specimen.stage),
    )
    .map(({ character }) => character);
  const open = all.filter(({ id }) => !looks.some((look) => look.character === id));
  // They stay where they are, however much of them was looked at.
  const organs = [...new Set(all.map((one) => one.organ))].filter((one) =>
    open.some(({ organ: of }) => of === one),
  );
  return (
    <>
      <Heading>{t.lookCloser}</Heading>
      <ChipRow label={t.where}>
        {organs.map((one) => (
          <Chip
            key={one}
            label={ORGAN[one]}
            chosen={organ === one}
            onPress={() => setOrgan(organ === one ? undefined : one)}
          />
        ))}
      </ChipRow>
      {organ ? (
        <View role="list" aria-label={t.whatCanBeLookedAt}>
          {open
            .filter((one) => one.organ === organ)
            .map((one) => (
              <CharacterChoice key={one.id} character={one} onChoose={onChoose} />
            ))}
        </View>
      ) : null}
    </>
  );
}

function CharacterChoice({
  character: { id, name, seconds, damage },
  onChoose,
}: Pick<LookCloserProps, 'onChoose'> & { readonly character: Character }) {
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={name}
        onPress={() => onChoose(id)}
        style={({ pressed }) => [styles.choice, pressed && styles.pressed]}
      >
        <Strong style={styles.grow}>{name}</Strong>
        <Small soft>
          {[timeWords(seconds), ...(damage === 'none' ? [] : [lowerFirst(DAMAGE[damage])])].join(' · ')}
        </Small>
      </Pressable>
      <Rule />
    </View>
  );
}
