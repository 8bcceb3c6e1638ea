import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Case, CharacterId, Check, FindRecord } from '@pause/core';
import { Button, colour, Small, SmallStrong, space, Strong, TARGET } from '../../components';
import { guide } from '../../deciding/guide';
import { startPiece } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { DAMAGE, timeWords } from '../../text/names';

const ORGANS: Readonly<Record<string, string>> = {
  habit: 'The whole',
  stem: 'Stem',
  leaf: 'Leaf',
  flower: 'Flower',
  fruit: 'Fruit',
  root: 'Root',
  cap: 'Cap',
  hymenophore: 'Underside',
  stipe: 'Stem',
  flesh: 'Flesh',
  spores: 'Spores',
  smell: 'Smell',
  veil: 'Veil',
  place: 'Place',
};

/**
 * Anything else that can be read now, also what nobody asked for: whoever sees something odd must be able to
 * say so.
 */
export function OtherChecks({
  find,
  current,
  onChoose,
}: {
  readonly find: Case;
  readonly current: Check | undefined;
  readonly onChoose: (id: CharacterId) => void;
}) {
  const [open, setOpen] = useState(false);
  const read = new Set<string>(find.readings.map((r) => r.character));
  const { stages } = find.context;
  const now = open
    ? guide.characters.filter(
        (c) =>
          c.character.kingdom === find.kingdom &&
          c.id !== current?.character &&
          (stages === undefined || stages.some((stage) => c.stages.has(stage))),
      )
    : [];
  const organs = [...new Set(now.map((c) => c.character.organ))];
  return (
    <View>
      <Button
        label={open ? 'Hide the list' : 'Something else seen'}
        tone="plain"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.left}
      />
      {open
        ? organs.map((organ) => (
            <View key={organ} role="group" aria-label={ORGANS[organ] ?? organ}>
              <SmallStrong style={styles.organ}>{ORGANS[organ] ?? organ}</SmallStrong>
              {now
                .filter((c) => c.character.organ === organ)
                .map((c) => (
                  <Pressable
                    key={c.id}
                    role="button"
                    onPress={() => {
                      onChoose(c.id);
                      setOpen(false);
                    }}
                    style={styles.other}
                  >
                    <Strong style={styles.grow}>{c.character.name}</Strong>
                    <Small soft>
                      {[
                        read.has(c.id) ? 'again' : timeWords(c.character.seconds),
                        ...(c.character.damage === 'none' ? [] : [DAMAGE[c.character.damage]]),
                      ].join(' · ')}
                    </Small>
                  </Pressable>
                ))}
            </View>
          ))
        : null}
    </View>
  );
}

export function MoreWays({
  record,
  onCompare,
}: {
  readonly record: FindRecord;
  readonly onCompare: () => void;
}) {
  const act = useAct();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  return (
    <View>
      <Button
        label={open ? 'Hide' : 'Another piece, or another name'}
        tone="plain"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.left}
      />
      {open ? (
        <View style={styles.next}>
          <Button
            label="Look at another piece beside it"
            tone="outline"
            onPress={() => {
              onCompare();
              setOpen(false);
            }}
          />
          <Button
            label="Start again on another piece"
            tone="outline"
            onPress={() => {
              act(startPiece(record.id, 'decide'));
              setOpen(false);
            }}
          />
          <Button
            label="I take it for something else"
            tone="outline"
            onPress={() => router.push({ pathname: '/new', params: { find: record.id } })}
          />
          <Small soft>
            Starting again and changing the name are listed with the verdict; from the second time on, every
            deadly one needs a bar more.
          </Small>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  left: { alignSelf: 'flex-start', minHeight: TARGET },
  next: { gap: space.m },
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
