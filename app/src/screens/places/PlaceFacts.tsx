import { useState } from 'react';
import { View } from 'react-native';
import { fieldHistory } from '@pause/core';
import { Heading, Body, Button } from '../../components';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { MOISTURE, SOIL, HABITAT, TREE, SPOIL, HAZARD } from '../../text/places';
import { Line } from './Line';
import { type ChangeMade, type Save, Where, Height, Source } from './PlaceFactParts';
import { Dangers, type EditProps, Ground, MayPick, WhoSees } from './PlaceFactSections';
import { styles } from './placeFactStyles';

/** What is known of a place; recorded in a few taps, and changed by whoever knows better. */
export function PlaceFacts({ place }: { readonly place: Place }) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const { fields } = place;
  const changeMade: ChangeMade = (make) => void act(changeFields(place.id, 'place', make));
  const lines = [
    fields.moisture && MOISTURE[fields.moisture],
    fields.soil?.map((one) => SOIL[one]).join(', '),
    fields.habitat?.map((one) => HABITAT[one]).join(', '),
    fields.trees &&
      (fields.trees.length === 0
        ? t.noTreesNear
        : t.trees(fields.trees.map((one) => TREE[one].toLowerCase()).join('; '))),
    fields.companions && t.besideIt(fields.companions.join(', ')),
    fields.spoils &&
      (fields.spoils.length === 0
        ? t.nothingSpoilsIt
        : t.couldBeSpoiled(fields.spoils.map((one) => SPOIL[one].toLowerCase()).join(', '))),
    fields.hazards &&
      fields.hazards.length > 0 &&
      t.mindYourself(fields.hazards.map((one) => HAZARD[one].toLowerCase()).join(', ')),
    fields.history,
    fields.note,
  ].filter((line): line is string => typeof line === 'string' && line !== '');
  return (
    <View style={styles.block}>
      <Heading>{t.whatIsKnownOfIt}</Heading>
      {lines.length === 0 ? <Body>{t.nothingYet}</Body> : lines.map((line) => <Body key={line}>{line}</Body>)}
      <Button
        label={open ? t.done : t.changeWhatIsKnown}
        tone="outline"
        style={styles.start}
        onPress={() => setOpen(!open)}
        aria-expanded={open}
      />
      {open ? <Edit place={place} changeMade={changeMade} /> : null}
    </View>
  );
}

function Edit({ place, changeMade }: Omit<EditProps, 'save'>) {
  const save: Save = (changes) => changeMade(() => changes);
  const props = { place, changeMade, save };
  const { fields } = place;
  const names = fieldHistory(place.page, 'name')
    .slice(1)
    .flatMap(({ value }) => (typeof value === 'string' ? [value] : []));
  return (
    <View style={styles.column}>
      <Line
        label={t.name}
        value={fields.name ?? ''}
        most={120}
        onChange={(name) => {
          if (name !== '') save({ name });
        }}
        hint={names.length > 0 ? t.before(names.slice(0, 3).join(', ')) : undefined}
      />
      <Where place={place} save={save} />
      <Height elevation={fields.elevation} onChange={(elevation) => save({ elevation })} />
      <Ground {...props} />
      <Dangers {...props} />
      <MayPick {...props} />
      <Line
        label={t.whoseIsIt}
        value={fields.owner ?? ''}
        most={120}
        onChange={(owner) => save({ owner: owner === '' ? null : owner })}
      />
      <Source place={place} save={save} />
      <Line
        label={t.sownMovedOrCutThere}
        value={fields.history ?? ''}
        most={2000}
        onChange={(history) => save({ history: history === '' ? null : history })}
      />
      <Line
        label={t.aNote}
        value={fields.note ?? ''}
        most={2000}
        onChange={(note) => save({ note: note === '' ? null : note })}
      />
      <WhoSees {...props} />
    </View>
  );
}
