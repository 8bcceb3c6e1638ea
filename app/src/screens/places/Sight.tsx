import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { taxaSeenAt } from '@pause/core/season';
import { Button, Chip, ChipRow, Heading, Input, Small, space } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { useAct } from '../../notebook/store';
import { seenPlace, useDay, type Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName, stageName } from '../../text/names';

type What = 'seen' | 'nothing' | 'suspected';

/** Something seen, looked for in vain, or suspected: no check is needed for that. */
export function Sight({ place, onDone }: { readonly place: Place; readonly onDone: () => void }) {
  const act = useAct();
  const today = useDay();
  const [taxon, setTaxon] = useState<CompiledTaxon | undefined>();
  const [what, setWhat] = useState<What>('seen');
  const [stages, setStages] = useState<readonly StageId[]>([]);
  const [note, setNote] = useState('');
  const [worth, setWorth] = useState(false);
  const before = [...taxaSeenAt(seenPlace(place))].flatMap((id) => guide.taxon(id) ?? []);
  const text = note.trim();
  const save = () => {
    if (!taxon) return;
    void import('../../notebook/outside')
      .then(({ sight }) =>
        act(
          sight(place.id, {
            on: isoOf(today),
            taxon: taxon.id,
            what,
            ...(what === 'seen' && stages.length > 0 ? { stages: [...stages] } : {}),
            ...(worth ? { worthVisit: true } : {}),
            ...(text ? { note: text } : {}),
          }),
        ),
      )
      .then((kept) => {
        if (kept) onDone();
      });
  };
  if (!taxon) {
    return (
      <View style={styles.block}>
        <Heading>{t.whatDoYouSee}</Heading>
        <ChooseTaxon
          label={t.nameOfWhatYouSee}
          placeholder={t.aNameWhatWasSeen}
          first={before}
          onChoose={(one) => {
            setTaxon(one);
            setWhat(one.grade === 'none' ? 'seen' : 'suspected');
          }}
        />
      </View>
    );
  }
  return (
    <View style={styles.block}>
      <Heading>{CommonName(taxon.id)}</Heading>
      <ChipRow label={t.whatOfIt}>
        <Chip label={t.itIsHere} chosen={what === 'seen'} onPress={() => setWhat('seen')} />
        <Chip label={t.iThinkItIs} chosen={what === 'suspected'} onPress={() => setWhat('suspected')} />
        <Chip
          label={t.lookedAndFoundNothing}
          chosen={what === 'nothing'}
          onPress={() => setWhat('nothing')}
        />
      </ChipRow>
      {what === 'seen' ? (
        <ChipRow label={t.atWhichStages}>
          {taxon.taxon.stages.map((stage) => (
            <Chip
              key={stage}
              kind="checkbox"
              label={stageName(stage)}
              chosen={stages.includes(stage)}
              onPress={() =>
                setStages(stages.includes(stage) ? stages.filter((one) => one !== stage) : [...stages, stage])
              }
            />
          ))}
        </ChipRow>
      ) : null}
      {what === 'nothing' ? null : (
        <ChipRow label={t.forLater}>
          <Chip
            kind="checkbox"
            label={t.worthAVisitHeading}
            chosen={worth}
            onPress={() => setWorth(!worth)}
          />
        </ChipRow>
      )}
      <Input
        aria-label={t.aNoteOnIt}
        value={note}
        onChangeText={setNote}
        maxLength={2000}
        placeholder={t.whereExactlyHowManyMay}
      />
      {taxon.grade !== 'none' && what !== 'nothing' ? (
        <Small>{t.aSuspicionIsEnoughEverybody(place.page.group ? t.theGroupHearsOfIt : '')}</Small>
      ) : null}
      <View style={styles.ways}>
        <Button label={t.putItDown} onPress={save} />
        <Button label={t.anotherOne} tone="plain" onPress={() => setTaxon(undefined)} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
});
