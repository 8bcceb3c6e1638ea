import { Link } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Source } from '@pause/core/pantry';
import { colour, Heading, Small, space, stroke, Strong, TARGET, Stack } from '../../components';
import type { Pantry } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { placeOf } from '../../notebook/usePlaces';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { CommonName, partName, scientificName } from '../../text/names';
import { amountWords, METHOD } from '../../text/pantry';
import { memberName } from '../../text/people';
import { isoDayName } from '../../text/places';
import { amountIn } from '../../text/units';
import { portionWords } from './PantryParts';

/** All that it comes from, up to every find, with where, when and by whom; and what became of it. */
export function Comes({ id, pantry }: { readonly id: string; readonly pantry: Pantry }) {
  const batch = pantry.batches.find((one) => one.id === id);
  const children = pantry.descent.children.get(id) ?? [];
  const became = pantry.portions.filter((one) => children.includes(one.id));
  const made = pantry.batches.filter((one) => children.includes(one.id));
  return (
    <Stack gap="s">
      <Heading>{t.whatItComesFrom}</Heading>
      <View role="list" aria-label={t.whatItComesFrom}>
        {(batch?.fields.from ?? []).map((source) => (
          <From key={source.id} source={source} pantry={pantry} seen={[id]} />
        ))}
      </View>
      {became.length + made.length > 0 ? (
        <>
          <Heading>{t.whatCameOfIt}</Heading>
          <View role="list" aria-label={t.whatCameOfIt}>
            {made.map((one) => (
              <Line
                key={one.id}
                href={{ pathname: '/batch/[id]', params: { id: one.id } }}
                name={one.fields.name ?? pantryText.aBatch}
                line={one.fields.on ? isoDayName(one.fields.on) : ''}
              />
            ))}
            {became.map((one) => (
              <Line
                key={one.id}
                href={{ pathname: '/portion/[id]', params: { id: one.id } }}
                name={portionWords(pantry, one)}
                line={one.fields.at ? isoDayName(one.fields.at.slice(0, 10)) : ''}
              />
            ))}
          </View>
        </>
      ) : null}
    </Stack>
  );
}

function Line({
  href,
  name,
  line,
}: {
  readonly href: React.ComponentProps<typeof Link>['href'];
  readonly name: string;
  readonly line: string;
}) {
  return (
    <View role="listitem">
      <Link href={href} asChild>
        <Pressable role="link" style={styles.line}>
          <Strong style={styles.underlined}>{name}</Strong>
          {line ? <Small soft>{line}</Small> : null}
        </Pressable>
      </Link>
    </View>
  );
}

interface FromProps {
  readonly source: Source;
  readonly pantry: Pantry;
  /** What leads here: nothing is named twice. */
  readonly seen: readonly string[];
}

/** Names whoever of a group it is of, where that is somebody else. */
function useWho() {
  const groups = useApp((state) => state.me.person?.groups);
  const me = useApp((state) => state.me.person?.id);
  return (person: string, group: string | undefined) => {
    const known = groups?.find((one) => one.id === group);
    return person === me ? undefined : known ? memberName(known, person) : undefined;
  };
}

const someOf = ({ amount }: Source) => (amount ? t.ofIt(amountWords(amount)) : undefined);
const joined = (parts: readonly (string | false | undefined)[]) => parts.filter(Boolean).join(' · ');

function From({ source, pantry, seen }: FromProps) {
  if (seen.includes(source.id)) return null;
  return source.of === 'batch' ? (
    <FromBatch source={source} pantry={pantry} seen={seen} />
  ) : (
    <FromHarvest source={source} pantry={pantry} />
  );
}

function FromBatch({ source, pantry, seen }: FromProps) {
  const who = useWho();
  const { id } = source;
  const batch = pantry.batches.find((one) => one.id === id);
  if (!batch) return <Small soft>{t.aBatchThatIsNot}</Small>;
  const { name = pantryText.aBatch, method, on, from = [] } = batch.fields;
  return (
    <View role="listitem">
      <Line
        href={{ pathname: '/batch/[id]', params: { id } }}
        name={name}
        line={joined([
          method && METHOD[method][1],
          on && isoDayName(on),
          who(batch.person, batch.group),
          someOf(source),
        ])}
      />
      <View role="list" aria-label={t.whatComesFrom(name)} style={styles.deeper}>
        {from.map((one) => (
          <From key={one.id} source={one} pantry={pantry} seen={[...seen, id]} />
        ))}
      </View>
    </View>
  );
}

function FromHarvest({ source, pantry }: Omit<FromProps, 'seen'>) {
  const who = useWho();
  const { id } = source;
  const harvest = pantry.harvests.find((one) => one.id === id);
  if (!harvest)
    return (
      <Line
        href={{ pathname: '/find/[id]', params: { id } }}
        name={pantryText.aFind}
        line={someOf(source) ?? ''}
      />
    );
  const { taxon = '', part = '', on, place, find = '', taken } = harvest.fields;
  const placePage = place === undefined ? undefined : pantry.pages[place];
  return (
    <Line
      href={{ pathname: '/find/[id]', params: { id: find } }}
      name={`${CommonName(taxon)}, ${partName(taxon, part)}`}
      line={joined([
        scientificName(taxon),
        on && isoDayName(on),
        placePage?.kind === 'place' && placeOf(placePage).name,
        who(harvest.person, pantry.pages[id]?.group),
        taken && t.taken(amountIn(taken.unit, taken.amount)),
        someOf(source),
      ])}
    />
  );
}

const styles = StyleSheet.create({
  line: { minHeight: TARGET, justifyContent: 'center', paddingVertical: space.xs },
  underlined: { textDecorationLine: 'underline' },
  deeper: { paddingLeft: space.m, borderLeftWidth: stroke.medium, borderLeftColor: colour.line },
});
