import { StyleSheet } from 'react-native';
import type { TaxonId } from '@pause/core';
import { Body, Button, Small } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/check';
import { CommonName, commonName } from '../../text/names';
import { few } from '../../text/reasons';
import { BeforeCheck } from './BeforeCheck';

interface GlovesFirstProps {
  /** Not ruled out yet, and harmful to the skin. */
  readonly skin: readonly TaxonId[];
  readonly onOn: () => void;
  readonly onWithout: () => void;
}

/** What must be put on before a check that touches. */
export function GlovesFirst({ skin, onOn, onWithout }: GlovesFirstProps) {
  const [first] = skin;
  const harm = first ? guide.taxon(first)?.taxon.harm : undefined;
  return (
    <BeforeCheck
      title={t.glovesFirst}
      ways={
        <>
          <Button label={t.theyAreOn} style={styles.way} onPress={onOn} />
          <Button label={t.noGlovesOnlyLook} tone="outline" style={styles.way} onPress={onWithout} />
        </>
      }
    >
      <Body>
        {skin.length > 0
          ? t.theNextCheckTouchesIt(few(skin.map(commonName)), skin.length)
          : t.theNextCheckNeedsGloves}
      </Body>
      {first && harm ? (
        <Small soft>
          {CommonName(first)}: {harm.sap ?? harm.touch}
        </Small>
      ) : null}
    </BeforeCheck>
  );
}

const styles = StyleSheet.create({ way: { flexGrow: 1 } });
