import { useState } from 'react';
import type { CompiledTaxon, StageId } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { taxaSeenAt } from '@pause/core/season';
import { Button, Chip, ChipRow, Heading, Input, Small, Stack, Row } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { toggled } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { seenPlace, useDay, type Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName, stageName } from '../../text/names';

type What = 'seen' | 'nothing' | 'suspected';

interface SightProps {
  readonly place: Place;
  readonly onDone: () => void;
}

/** Something seen, looked for in vain, or suspected: no check is needed for that. */
export function Sight({ place, onDone }: SightProps) {
  const [taxon, setTaxon] = useState<CompiledTaxon | undefined>();
  // It stays where another taxon is chosen.
  const [note, setNote] = useState('');
  if (taxon)
    return (
      <SightOf
        place={place}
        taxon={taxon}
        note={note}
        setNote={setNote}
        onDone={onDone}
        onAnother={() => setTaxon(undefined)}
      />
    );
  return (
    <Stack gap="s">
      <Heading>{t.whatDoYouSee}</Heading>
      <ChooseTaxon
        label={t.nameOfWhatYouSee}
        placeholder={t.aNameWhatWasSeen}
        first={[...taxaSeenAt(seenPlace(place))].flatMap((id) => guide.taxon(id) ?? [])}
        onChoose={setTaxon}
      />
    </Stack>
  );
}

interface SightOfProps extends SightProps {
  readonly taxon: CompiledTaxon;
  readonly note: string;
  readonly setNote: (note: string) => void;
  readonly onAnother: () => void;
}

/** What was seen of a taxon, as it is put down. */
function useSight({ place, taxon, note, onDone }: Omit<SightOfProps, 'onAnother' | 'setNote'>) {
  const act = useAct();
  const today = useDay();
  const [what, setWhat] = useState<What>(taxon.grade === 'none' ? 'seen' : 'suspected');
  const [stages, setStages] = useState<readonly StageId[]>([]);
  const [worth, setWorth] = useState(false);
  const text = note.trim();
  const save = () => {
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
  const toggle = (stage: StageId) => setStages(toggled(stages, stage));
  return { what, setWhat, stages, toggle, worth, setWorth, save };
}

function SightOf(props: SightOfProps) {
  const { place, taxon, note, setNote, onAnother } = props;
  const { what, setWhat, stages, toggle, worth, setWorth, save } = useSight(props);
  return (
    <Stack gap="s">
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
              onPress={() => toggle(stage)}
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
        <Small>{place.page.group ? t.aSuspicionIsEnoughInAGroup : t.aSuspicionIsEnough}</Small>
      ) : null}
      <Row wrap gap="m">
        <Button label={t.putItDown} onPress={save} />
        <Button label={t.anotherOne} tone="plain" onPress={onAnother} />
      </Row>
    </Stack>
  );
}
