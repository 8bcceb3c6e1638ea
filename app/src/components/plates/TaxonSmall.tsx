import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import { guide } from '../../deciding/guide';
import { TaxonDrawing } from './TaxonDrawing';

const NOTHING = new Set<string>();

/** The stage at which a taxon is shown where none is asked for: grown, and not yet past it. */
export const usualStage = ({ taxon: { stages } }: CompiledTaxon): StageId =>
  stages[Math.min(1, stages.length - 1)] as StageId;

export interface TaxonSmallProps {
  /** Its id; where it is not in this guide, its place stays empty. */
  readonly of: string | undefined;
  /** The height of its plate, px. */
  readonly height?: number;
}

/** A taxon as a small plate beside its name. */
export function TaxonSmall({ of, height = 56 }: TaxonSmallProps) {
  const taxon = of === undefined ? undefined : guide.taxon(of);
  return (
    <View style={[styles.frame, { width: Math.round((height * 5) / 6), height }]}>
      {taxon ? (
        <TaxonDrawing
          taxon={taxon}
          stage={usualStage(taxon)}
          height={height}
          accent={NOTHING}
          scale={false}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ frame: { alignItems: 'center', justifyContent: 'center' } });
