import { useState } from 'react';
import { View } from 'react-native';
import { fieldHistory } from '@pause/core';
import { Heading, Body, Button, Chip, Small } from '../../components';
import { changeFields } from '../../notebook/changeFields';
import { useAct, useApp } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { memberName } from '../../text/people';
import { MOISTURE, SOIL, HABITAT, TREE, SPOIL, HAZARD, ASPECT, SHADE, PICKING } from '../../text/places';
import { Allowances } from './Allowances';
import { Line } from './Line';
import {
  type ChangeMade,
  type Save,
  placeForGroup,
  Where,
  Height,
  One,
  Many,
  companionsOf,
  Until,
  Source,
  ChipGroup,
} from './PlaceFactParts';
import { styles } from './placeFactStyles';

/** What is known of a place; told in a few taps, and changed by whoever knows better. */
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
        ? 'No trees near'
        : `Trees: ${fields.trees.map((one) => TREE[one].toLowerCase()).join('; ')}`),
    fields.companions && `Beside it: ${fields.companions.join(', ')}`,
    fields.spoils &&
      (fields.spoils.length === 0
        ? 'Nothing spoils it'
        : `Could be spoiled: ${fields.spoils.map((one) => SPOIL[one].toLowerCase()).join(', ')}`),
    fields.hazards &&
      fields.hazards.length > 0 &&
      `Mind yourself: ${fields.hazards.map((one) => HAZARD[one].toLowerCase()).join(', ')}`,
    fields.history,
    fields.note,
  ].filter((line): line is string => typeof line === 'string' && line !== '');
  return (
    <View style={styles.block}>
      <Heading>What is known of it</Heading>
      {lines.length === 0 ? <Body>Nothing yet.</Body> : lines.map((line) => <Body key={line}>{line}</Body>)}
      <Button
        label={open ? 'Done' : 'Change what is known'}
        tone="outline"
        style={styles.start}
        onPress={() => setOpen(!open)}
        aria-expanded={open}
      />
      {open ? <Edit place={place} changeMade={changeMade} /> : null}
    </View>
  );
}

function Edit({ place, changeMade }: { readonly place: Place; readonly changeMade: ChangeMade }) {
  const save: Save = (changes) => changeMade(() => changes);
  const { fields } = place;
  const keeps = useApp((state) => state.me.person?.id === place.page.person);
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === place.page.group));
  const names = fieldHistory(place.page, 'name')
    .slice(1)
    .flatMap(({ value }) => (typeof value === 'string' ? [value] : []));
  return (
    <View style={styles.column}>
      <Line
        label="Name"
        value={fields.name ?? ''}
        most={120}
        onChange={(name) => {
          if (name !== '') save({ name });
        }}
        hint={names.length > 0 ? `Before: ${names.slice(0, 3).join(', ')}` : undefined}
      />
      <Where place={place} save={save} />
      <Height elevation={fields.elevation} onChange={(elevation) => save({ elevation })} />
      <One label="It faces" words={ASPECT} chosen={fields.aspect} onChange={(aspect) => save({ aspect })} />
      <One label="Light" words={SHADE} chosen={fields.shade} onChange={(shade) => save({ shade })} />
      <One
        label="Ground"
        words={MOISTURE}
        chosen={fields.moisture}
        onChange={(moisture) => save({ moisture })}
      />
      <Many
        label="Soil"
        words={SOIL}
        chosen={fields.soil}
        onChange={(make) => changeMade(({ soil }) => ({ soil: make(soil) }))}
      />
      <Many
        label="What it is"
        words={HABITAT}
        chosen={fields.habitat}
        onChange={(make) => changeMade(({ habitat }) => ({ habitat: make(habitat) }))}
      />
      <Many
        label="Trees near"
        none="None"
        words={TREE}
        chosen={fields.trees}
        onChange={(make) => changeMade(({ trees }) => ({ trees: make(trees) }))}
      />
      <Line
        label="Other plants that stand there"
        value={fields.companions?.join(', ') ?? ''}
        most={2000}
        hint="One after another, with commas"
        onChange={(text) => save({ companions: companionsOf(text) })}
      />
      <Many
        label="Does anything spoil it?"
        none="Nothing"
        words={SPOIL}
        chosen={fields.spoils}
        onChange={(make) => changeMade(({ spoils }) => ({ spoils: make(spoils) }))}
      />
      <Many
        label="What could hurt you?"
        none="Nothing"
        words={HAZARD}
        chosen={fields.hazards}
        onChange={(make) => changeMade(({ hazards }) => ({ hazards: make(hazards) }))}
      />
      <One
        label="May one pick here?"
        words={PICKING}
        chosen={fields.picking?.may}
        onChange={(may) =>
          changeMade(({ picking }) => ({ picking: may === null ? null : { ...picking, may } }))
        }
      />
      {fields.picking?.may === 'permit' ? (
        <Until
          until={fields.picking.permitUntil}
          onChange={(permitUntil) =>
            changeMade(({ picking }) =>
              picking
                ? {
                    picking: {
                      may: 'permit',
                      ...(picking.permitName ? { permitName: picking.permitName } : {}),
                      ...(permitUntil ? { permitUntil } : {}),
                    },
                  }
                : {},
            )
          }
        />
      ) : null}
      <Allowances
        place={place}
        say={(make) =>
          changeMade(({ allowances = [] }) => {
            const all = [...make(allowances)];
            return { allowances: all.length > 0 ? all : null };
          })
        }
      />
      <Line
        label="Whose is it?"
        value={fields.owner ?? ''}
        most={120}
        onChange={(owner) => save({ owner: owner === '' ? null : owner })}
      />
      <Source place={place} save={save} />
      <Line
        label="Sown, moved or cut there before"
        value={fields.history ?? ''}
        most={2000}
        onChange={(history) => save({ history: history === '' ? null : history })}
      />
      <Line
        label="A note"
        value={fields.note ?? ''}
        most={2000}
        onChange={(note) => save({ note: note === '' ? null : note })}
      />
      {group && keeps ? (
        <>
          <ChipGroup label={`Who of ${group.name} may see where it is?`}>
            <Chip
              label="Only me"
              chosen={fields.exactFor === undefined || fields.exactFor === 'finder'}
              onPress={() => save({ exactFor: 'finder' })}
            />
            <Chip
              label="Everybody"
              chosen={fields.exactFor === 'group'}
              onPress={() => save(placeForGroup(fields, 'group'))}
            />
          </ChipGroup>
          {fields.exactFor === 'group' ? null : (
            <ChipGroup label="And the others?">
              <Chip
                label="Nothing"
                chosen={fields.others !== 'cell'}
                onPress={() => save({ others: 'nothing' })}
              />
              <Chip
                label="A square of eleven kilometres"
                chosen={fields.others === 'cell'}
                onPress={() => save({ others: 'cell', ...(fields.shape ? { shape: fields.shape } : {}) })}
              />
            </ChipGroup>
          )}
        </>
      ) : group ? (
        <Small soft>
          {memberName(group, place.page.person ?? '')} keeps it, and decides who is told where it is.
        </Small>
      ) : null}
    </View>
  );
}
