import { useState } from 'react';
import { View } from 'react-native';
import { fieldHistory } from '@pause/core';
import { Heading, Body, Button, Chip, Small } from '../../components';
import { changeFields } from '../../notebook/changeFields';
import { useAct, useApp } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
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
      <One label={t.itFaces} words={ASPECT} chosen={fields.aspect} onChange={(aspect) => save({ aspect })} />
      <One label={t.light} words={SHADE} chosen={fields.shade} onChange={(shade) => save({ shade })} />
      <One
        label={t.ground}
        words={MOISTURE}
        chosen={fields.moisture}
        onChange={(moisture) => save({ moisture })}
      />
      <Many
        label={t.soil}
        words={SOIL}
        chosen={fields.soil}
        onChange={(make) => changeMade(({ soil }) => ({ soil: make(soil) }))}
      />
      <Many
        label={t.whatItIs}
        words={HABITAT}
        chosen={fields.habitat}
        onChange={(make) => changeMade(({ habitat }) => ({ habitat: make(habitat) }))}
      />
      <Many
        label={t.treesNear}
        none={t.none}
        words={TREE}
        chosen={fields.trees}
        onChange={(make) => changeMade(({ trees }) => ({ trees: make(trees) }))}
      />
      <Line
        label={t.otherPlantsThatStandThere}
        value={fields.companions?.join(', ') ?? ''}
        most={2000}
        hint={t.oneAfterAnotherWithCommas}
        onChange={(text) => save({ companions: companionsOf(text) })}
      />
      <Many
        label={t.doesAnythingSpoilIt}
        none={t.nothingFound}
        words={SPOIL}
        chosen={fields.spoils}
        onChange={(make) => changeMade(({ spoils }) => ({ spoils: make(spoils) }))}
      />
      <Many
        label={t.whatCouldHurtYou}
        none={t.nothingFound}
        words={HAZARD}
        chosen={fields.hazards}
        onChange={(make) => changeMade(({ hazards }) => ({ hazards: make(hazards) }))}
      />
      <One
        label={t.mayOnePickHere}
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
      {group && keeps ? (
        <>
          <ChipGroup label={t.whoOfMaySeeWhere(group.name)}>
            <Chip
              label={t.onlyMe}
              chosen={fields.exactFor === undefined || fields.exactFor === 'finder'}
              onPress={() => save({ exactFor: 'finder' })}
            />
            <Chip
              label={t.everybody}
              chosen={fields.exactFor === 'group'}
              onPress={() => save(placeForGroup(fields, 'group'))}
            />
          </ChipGroup>
          {fields.exactFor === 'group' ? null : (
            <ChipGroup label={t.andTheOthers}>
              <Chip
                label={t.nothingFound}
                chosen={fields.others !== 'cell'}
                onPress={() => save({ others: 'nothing' })}
              />
              <Chip
                label={t.aSquareOfElevenKilometres}
                chosen={fields.others === 'cell'}
                onPress={() => save({ others: 'cell', ...(fields.shape ? { shape: fields.shape } : {}) })}
              />
            </ChipGroup>
          )}
        </>
      ) : group ? (
        <Small soft>{t.keepsItAndDecidesWho(memberName(group, place.page.person ?? ''))}</Small>
      ) : null}
    </View>
  );
}
