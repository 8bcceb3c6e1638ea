import { useMemo } from 'react';
import type { Character, StageId, TaxonId } from '@pause/core';
import { Body, Small, Row, Stack } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/answer';
import { commonName } from '../../text/names';

/** Where on the specimen to look, and how: the target drawn at the recorded stage, the place in the accent. */
export function HowToLook({
  character,
  target,
  stages,
}: {
  readonly character: Character;
  readonly target: TaxonId | undefined;
  readonly stages: readonly StageId[] | undefined;
}) {
  const taxon = target && guide.taxon(target);
  const stage = taxon && taxon.taxon.stages.find((s) => stages?.includes(s) ?? true);
  const place = useMemo(() => {
    const stated =
      taxon &&
      stage !== undefined &&
      taxon.atStage.get(guide.character(character.id)?.index ?? -1)?.has(stage) === true;
    return new Set<string>(
      stated
        ? [character.id]
        : guide.characters.filter((c) => c.character.organ === character.organ).map((c) => c.id),
    );
  }, [character, taxon, stage]);
  return (
    <Row gap="m" align="centre">
      {taxon && stage ? <TaxonDrawing taxon={taxon} stage={stage} height={150} accent={place} /> : null}
      <Stack grow gap="xs">
        <Body>{character.how}</Body>
        {taxon ? <Small soft>{t.drawnAsItWouldBe(commonName(taxon.id))}</Small> : null}
      </Stack>
    </Row>
  );
}
