import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Case, CharacterId, Check, FindRecord } from '@pause/core';
import { Button, colour, Small, SmallStrong, space, Strong, TARGET, Stack } from '../../components';
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
  readonly find: Case;
  readonly current: Check | undefined;
  readonly onChoose: (id: CharacterId) => void;
}

/** Everything that can be read at these stages, organ by organ. */
function AllChecks({ find, current, onChoose }: OtherChecksProps) {
  const read = new Set<string>(find.readings.map((r) => r.character));
  const { stages } = find.context;
  const now = guide.characters.filter(
    (c) =>
      c.character.kingdom === find.kingdom &&
      c.id !== current?.character &&
      (stages === undefined || stages.some((stage) => c.stages.has(stage))),
  );
  const organs = [...new Set(now.map((c) => c.character.organ))];
  return organs.map((organ) => (
    <View key={organ} role="group" aria-label={ORGANS[organ] ?? organ}>
      <SmallStrong style={styles.organ}>{ORGANS[organ] ?? organ}</SmallStrong>
      {now
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
  ));
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
        label={open ? t.hideButton : t.anotherPieceOrAnotherName}
        tone="plain"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        style={styles.left}
      />
      {open ? (
        <Stack gap="m">
          <Button
            label={t.lookAtAnotherPieceBeside}
            tone="outline"
            onPress={() => {
              onCompare();
              setOpen(false);
            }}
          />
          <Button
            label={t.startAgainOnAnotherPiece}
            tone="outline"
            onPress={() => {
              act(startPiece(record.id, 'decide'));
              setOpen(false);
            }}
          />
          <Button
            label={t.iTakeItForSomething}
            tone="outline"
            onPress={() => router.push({ pathname: '/new', params: { find: record.id } })}
          />
          <Small soft>{t.startingAgainAndChangingThe}</Small>
        </Stack>
      ) : null}
    </View>
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
