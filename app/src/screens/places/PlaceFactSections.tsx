import { Chip, Small } from '../../components';
import { useApp } from '../../notebook/store';
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
  One,
  Many,
  companionsOf,
  Until,
  ChipGroup,
} from './PlaceFactParts';

/** What is known of a place, subject by subject. */

export interface EditProps {
  readonly place: Place;
  readonly changeMade: ChangeMade;
  readonly save: Save;
}

/** Which way it faces, its light, ground and soil, and what grows there. */
export function Ground({ place: { fields }, changeMade, save }: EditProps) {
  return (
    <>
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
    </>
  );
}

/** What spoils the place, and what could hurt somebody there. */
export function Dangers({ place: { fields }, changeMade }: EditProps) {
  return (
    <>
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
    </>
  );
}

/** Whether one may pick there, until when, and how much of what. */
export function MayPick({ place, changeMade }: EditProps) {
  const { picking } = place.fields;
  const permitUntil = (until: string | undefined) =>
    changeMade(({ picking: now }) =>
      now
        ? {
            picking: {
              may: 'permit',
              ...(now.permitName ? { permitName: now.permitName } : {}),
              ...(until ? { permitUntil: until } : {}),
            },
          }
        : {},
    );
  return (
    <>
      <One
        label={t.mayOnePickHere}
        words={PICKING}
        chosen={picking?.may}
        onChange={(may) =>
          changeMade(({ picking: now }) => ({ picking: may === null ? null : { ...now, may } }))
        }
      />
      {picking?.may === 'permit' ? <Until until={picking.permitUntil} onChange={permitUntil} /> : null}
      <Allowances
        place={place}
        say={(make) =>
          changeMade(({ allowances = [] }) => {
            const all = [...make(allowances)];
            return { allowances: all.length > 0 ? all : null };
          })
        }
      />
    </>
  );
}

/** Who of the group may see where it is; its keeper decides. */
export function WhoSees({ place, save }: EditProps) {
  const { fields } = place;
  const keeps = useApp((state) => state.me.person?.id === place.page.person);
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === place.page.group));
  if (!group) return null;
  if (!keeps) return <Small soft>{t.keepsItAndDecidesWho(memberName(group, place.page.person ?? ''))}</Small>;
  return (
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
  );
}
