import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Character, CharacterId, FindRecord, Unnamed } from '@pause/core';
import { Button, colour, Input, Small, SmallStrong, space, Strong, TARGET, Stack } from '../../components';
import { guide } from '../../deciding/guide';
import { startPiece } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/check';
import { DAMAGE, timeWords } from '../../text/names';

const ORGANS: Readonly<Record<string, string>> = {
  habit: t.theWhole,
  stem: t.stem,
  leaf: t.leaf,
  flower: t.flower,
  fruit: t.fruit,
  root: t.root,
  cap: t.cap,
  hymenophore: t.underside,
  stipe: t.stem,
  flesh: t.flesh,
  spores: t.spores,
  smell: t.smell,
  veil: t.veil,
  place: t.place,
};

/**
 * Anything else that can be read now, also what nobody asked for: whoever sees something odd must be able to
 * say so.
 */
export function OtherChecks({ find, current, onChoose }: OtherChecksProps) {
  const [open, setOpen] = useState(false);
  return (
    <View>
      <Button
        label={open ? t.hideTheList : t.somethingElseSeen}
        tone="plain"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.left}
      />
      {open ? (
        <AllChecks
          find={find}
          current={current}
          onChoose={(id) => {
            onChoose(id);
            setOpen(false);
          }}
        />
      ) : null}
    </View>
  );
}

interface OtherChecksProps {
  readonly find: Pick<Unnamed, 'kingdom' | 'readings' | 'context'>;
  readonly current: CharacterId | undefined;
  readonly onChoose: (id: CharacterId) => void;
}

/** Everything that can be read at these stages, organ by organ. */
export function AllChecks({ find, current, onChoose }: OtherChecksProps) {
  const read = new Set<string>(find.readings.map((r) => r.character));
  const { stages } = find.context;
  const [wanted, setWanted] = useState('');
  const now = guide.characters.filter(
    (c) =>
      c.character.kingdom === find.kingdom &&
      c.id !== current &&
      (stages === undefined || stages.some((stage) => c.stages.has(stage))),
  );
  const found = now.filter((c) => isAbout(c.character, wanted));
  const organs = [...new Set(found.map((c) => c.character.organ))];
  return (
    <View>
      <Input
        role="searchbox"
        aria-label={t.searchTheList}
        placeholder={t.forInstanceSmellOrGills}
        value={wanted}
        onChangeText={setWanted}
      />
      {organs.length === 0 ? <Small>{t.nothingByThatWord}</Small> : null}
      {organs.map((organ) => (
        <View key={organ} role="group" aria-label={ORGANS[organ] ?? organ}>
          <SmallStrong style={styles.organ}>{ORGANS[organ] ?? organ}</SmallStrong>
          {found
            .filter((c) => c.character.organ === organ)
            .map((c) => (
              <Pressable key={c.id} role="button" onPress={() => onChoose(c.id)} style={styles.other}>
                <Strong style={styles.grow}>{c.character.name}</Strong>
                <Small soft>
                  {[
                    read.has(c.id) ? t.again : timeWords(c.character.seconds),
                    ...(c.character.damage === 'none' ? [] : [DAMAGE[c.character.damage]]),
                  ].join(' · ')}
                </Small>
              </Pressable>
            ))}
        </View>
      ))}
    </View>
  );
}

/** Whether every word is in the name of the character, its organ, its question or one of its answers. */
function isAbout(character: Character, wanted: string): boolean {
  const states = 'states' in character ? character.states.map(({ label }) => label) : [];
  const text = [character.name, ORGANS[character.organ], character.question, ...states]
    .join(' ')
    .toLowerCase();
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

interface MoreWaysProps {
  readonly record: FindRecord;
  readonly onCompare: () => void;
}

export function MoreWays({ record, onCompare }: MoreWaysProps) {
  const [open, setOpen] = useState(false);
  return (
    <View>
      <Button
        label={open ? t.hideButton : t.anotherPieceOrAnotherName}
        tone="plain"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.left}
      />
      {open ? <PiecesAndNames record={record} onCompare={onCompare} onDone={() => setOpen(false)} /> : null}
    </View>
  );
}

/** Looking at another piece, starting again, or changing the name. */
export function PiecesAndNames({
  record,
  onCompare,
  onDone,
}: MoreWaysProps & { readonly onDone?: (() => void) | undefined }) {
  const act = useAct();
  const router = useRouter();
  return (
    <Stack gap="m">
      <Button
        label={t.lookAtAnotherPieceBeside}
        tone="outline"
        onPress={() => {
          onCompare();
          onDone?.();
        }}
      />
      <Button
        label={t.startAgainOnAnotherPiece}
        tone="outline"
        onPress={() => {
          act(startPiece(record.id, 'decide'));
          onDone?.();
        }}
      />
      <Button
        label={t.iTakeItForSomething}
        tone="outline"
        onPress={() => router.push({ pathname: '/new', params: { find: record.id } })}
      />
      <Small soft>{t.startingAgainAndChangingThe}</Small>
    </Stack>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  left: { alignSelf: 'flex-start', minHeight: TARGET },
  organ: { paddingTop: space.m, paddingBottom: space.xs },
  other: {
    minHeight: TARGET,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    borderTopWidth: 1,
    borderTopColor: colour.line,
  },
});
