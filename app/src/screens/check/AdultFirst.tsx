import { StyleSheet } from 'react-native';
import type { Check } from '@pause/core';
import { Body, Button } from '../../components';
import { t } from '../../text/en/adultFirst';
import { characterName, characterOf, lowerFirst } from '../../text/names';
import { BeforeCheck } from './BeforeCheck';

/**
 * Whether a child leaves this check to an adult: it costs a piece of the plant, needs a knife or a trowel, or touches
 * what may harm the skin.
 */
export function waitsForAdult({
  character,
  damage,
  skin,
}: Pick<Check, 'character' | 'damage' | 'skin'>): boolean {
  const gear = characterOf(character)?.gear ?? [];
  return damage === 'part' || damage === 'whole' || skin.length > 0 || gear.some((one) => TOOLS.has(one));
}

const TOOLS: ReadonlySet<string> = new Set(['knife', 'trowel', 'gloves']);

interface AdultFirstProps {
  readonly check: Check;
  /** An adult is there and makes this check. */
  readonly onAdult: () => void;
  /** Goes on to what a child can look at alone; undefined where nothing of that is left. */
  readonly onWithout: (() => void) | undefined;
}

/** A child waits for an adult before this check. */
export function AdultFirst({ check, onAdult, onWithout }: AdultFirstProps) {
  const name = lowerFirst(characterName(check.character));
  return (
    <BeforeCheck
      title={t.thisOneIsForAnAdult}
      ways={
        <>
          <Button label={t.anAdultIsHere} style={styles.way} onPress={onAdult} />
          {onWithout ? (
            <Button label={t.onlyLook} tone="outline" style={styles.way} onPress={onWithout} />
          ) : null}
        </>
      }
    >
      <Body>{check.skin.length > 0 ? t.itTouches(name) : t.itCuts(name)}</Body>
    </BeforeCheck>
  );
}

const styles = StyleSheet.create({ way: { flexGrow: 1 } });
