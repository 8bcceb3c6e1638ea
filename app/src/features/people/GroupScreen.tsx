import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Policy, TaxonId } from '@pause/core';
import { z } from 'zod';
import { guide } from '../../evaluate/guide';
import type { Group, Role } from '../../store/api';
import { useAct, useApp } from '../../store/store';
import { CommonName, commonName } from '../../words/names';
import { Body, Button, Chip, ChipRow, Heading, Notice, Rule, Screen, Small, SmallStrong, space, Strong, TARGET, Title, useWide } from '../../ui';
import { changeGroup, changeRole, inviteTo, takeOut, type Outcome } from './account';
import { Code } from './Code';
import { ROLE, ROLE_MEANS } from './words';

const ROLES = ['keeper', 'member', 'young'] as const;
const Invitation = z.object({ code: z.string(), expiresAt: z.string() });
const DAYS = 7;

/** A group: who belongs to it, and the rules by which it decides. */
export function GroupScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const wide = useWide();
  const [said, setSaid] = useState<string | undefined>();
  const { status, person } = useApp((state) => state.me);
  const group = person?.groups.find((one) => one.id === id);
  if (status !== 'ready') return <Screen><Body soft>Opening the notebook …</Body></Screen>;
  if (!person || !group) return <Screen><Notice title="There is no such group" text="Or you do not belong to it any more." action="Notebook and people" onAction={() => router.replace('/notebook')} /></Screen>;
  const tell = (outcome: Outcome) => setSaid(outcome.ok ? undefined : outcome.title);
  return (
    <Screen>
      <View>
        <Small soft>Group · you are {ROLE[group.role].toLowerCase()}</Small>
        <Title>{group.name}</Title>
      </View>
      {said ? <SmallStrong role="alert">{said}</SmallStrong> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Members group={group} me={person.id} tell={tell} />
          {group.role === 'keeper' ? <Invite group={group} tell={tell} /> : null}
        </View>
        <View style={wide ? styles.grow : undefined}>
          <Rules group={group} tell={tell} />
        </View>
      </View>
    </Screen>
  );
}

const byRole = ({ members }: Group) => [...members].sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role));

interface Part {
  readonly group: Group;
  readonly tell: (outcome: Outcome) => void;
}

function Members({ group, me, tell }: Part & { readonly me: string }) {
  const act = useAct();
  const router = useRouter();
  const [open, setOpen] = useState<string | undefined>();
  const keeper = group.role === 'keeper';
  return (
    <View style={styles.block}>
      <Heading>Who belongs to it</Heading>
      <View role="list" aria-label="Members">
        <Rule />
        {byRole(group).map(({ person, name, role }) => (
          <View key={person} role="listitem">
            <View style={styles.line}>
              <View style={styles.grow}>
                <Strong>{name}{person === me ? ' (you)' : ''}</Strong>
                <Small soft>{ROLE[role]}: {ROLE_MEANS[role]}</Small>
              </View>
              {person === me || keeper ? <Button label={open === person ? 'Close' : 'Change'} tone="plain" aria-label={`${open === person ? 'Close' : 'Change'} ${name}`} onPress={() => setOpen(open === person ? undefined : person)} /> : null}
            </View>
            {open === person ? (
              <View style={styles.change}>
                {keeper ? (
                  <ChipRow label={`What ${name} is`}>
                    {ROLES.map((one) => <Chip key={one} label={ROLE[one]} chosen={one === role} onPress={() => void act(changeRole(group.id, person, one)).then(tell)} />)}
                  </ChipRow>
                ) : null}
                <Button label={person === me ? 'Leave the group' : `Take ${name} out of the group`} tone="outline" style={styles.start} onPress={() => void act(takeOut(group.id, person)).then((outcome) => {
                  tell(outcome);
                  if (outcome.ok && person === me) router.replace('/notebook');
                })} />
                <Small soft>What was told in the group’s notebook stays in it.</Small>
              </View>
            ) : null}
            <Rule />
          </View>
        ))}
      </View>
      {group.former.length > 0 ? <Small soft>Belonged to it before: {group.former.map(({ name }) => name).join(', ')}.</Small> : null}
    </View>
  );
}

function Invite({ group, tell }: Part) {
  const act = useAct();
  const [role, setRole] = useState<Role>('member');
  const [code, setCode] = useState<string | undefined>();
  return (
    <View style={styles.block}>
      <Heading>Let somebody in</Heading>
      <ChipRow label="As what">
        {ROLES.map((one) => <Chip key={one} label={ROLE[one]} chosen={one === role} onPress={() => { setRole(one); setCode(undefined); }} />)}
      </ChipRow>
      <Small soft>{ROLE[role]}: {ROLE_MEANS[role]}.</Small>
      {code ? <Code code={code} address={`${window.location.origin}/join?code=${code}`} /> : null}
      <Button label={code ? 'Another code' : 'Show a code'} tone="outline" style={styles.start} onPress={() => void act(inviteTo(group.id, role, DAYS)).then((outcome) => {
        tell(outcome);
        setCode(Invitation.safeParse(outcome.ok ? outcome.said : undefined).data?.code);
      })} />
      <Small soft>A code that nobody used is worth nothing after {DAYS} days.</Small>
    </View>
  );
}

/** The schools on which people differ, each with its reason; a keeper chooses. */
function Rules({ group, tell }: Part) {
  const act = useAct();
  const { policy } = group;
  const may = group.role === 'keeper';
  const set = (change: Partial<Record<keyof Policy, unknown>>) => {
    const next = Object.fromEntries(Object.entries({ ...policy, ...change }).filter(([, value]) => value !== undefined));
    void act(changeGroup(group.id, { policy: next })).then(tell);
  };
  const grades = policy.secondLook ?? [];
  const deadly = policy.extraBars?.deadly ?? 0;
  return (
    <View style={styles.block}>
      <Heading>Its rules</Heading>
      <Body soft>{may ? 'They can only make a verdict stricter than the guide’s own, never laxer; whoever decides is told whose rules they are.' : 'A keeper of the group chooses them. They can only make a verdict stricter, never laxer.'}</Body>
      <School title="A second look" why="A person who was not told the answer sees what one’s own eye has stopped looking for.">
        <Chip kind="checkbox" label="Where no expert reviewed a deadly pair" chosen={policy.secondLookWhenUnreviewed === true} disabled={!may} onPress={() => set({ secondLookWhenUnreviewed: policy.secondLookWhenUnreviewed !== true })} />
        <Chip kind="checkbox" label="For everything deadly" chosen={grades.includes('deadly')} disabled={!may} onPress={() => set({ secondLook: grades.includes('deadly') ? grades.filter((g) => g !== 'deadly') : [...grades, 'deadly'] })} />
        <Chip kind="checkbox" label="For everything serious" chosen={grades.includes('serious')} disabled={!may} onPress={() => set({ secondLook: grades.includes('serious') ? grades.filter((g) => g !== 'serious') : [...grades, 'serious'] })} />
      </School>
      <School title="Bars against what is deadly" why="Three are proof against any two mistakes; each one more against one mistake more.">
        {[0, 1, 2].map((more) => <Chip key={more} label={`${3 + more}`} aria-label={`${3 + more} bars`} chosen={deadly === more} disabled={!may} onPress={() => set({ extraBars: more === 0 ? undefined : { ...policy.extraBars, deadly: more } })} />)}
      </School>
      <School title="Range, season, habitat" why="They tell what to expect; but plants travel and seasons shift, so they never rule anything out.">
        <Chip label="Order and raise doubts" chosen={policy.place !== 'ignored'} disabled={!may} onPress={() => set({ place: undefined })} />
        <Chip label="Left out altogether" chosen={policy.place === 'ignored'} disabled={!may} onPress={() => set({ place: 'ignored' })} />
      </School>
      <School title="The family as a hint" why="Knowing a family helps to name and to learn; rules of families have exceptions.">
        <Chip label="Told" chosen={policy.familyHint !== false} disabled={!may} onPress={() => set({ familyHint: undefined })} />
        <Chip label="Each by itself" chosen={policy.familyHint === false} disabled={!may} onPress={() => set({ familyHint: false })} />
      </School>
      <Forgone policy={policy} may={may} onChange={(forgoneTaxa) => set({ forgoneTaxa: forgoneTaxa.length > 0 ? forgoneTaxa : undefined })} />
    </View>
  );
}

function School({ title, why, children }: { readonly title: string; readonly why: string; readonly children: React.ReactNode }) {
  return (
    <View style={styles.rule}>
      <Strong>{title}</Strong>
      <Small soft>{why}</Small>
      <ChipRow label={title}>{children}</ChipRow>
    </View>
  );
}

/** Wanted ones that the group leaves alone, whatever is seen. */
function Forgone({ policy, may, onChange }: { readonly policy: Policy; readonly may: boolean; readonly onChange: (taxa: TaxonId[]) => void }) {
  const [all, setAll] = useState(false);
  const forgone = policy.forgoneTaxa ?? [];
  const wanted = guide.taxa.filter(({ taxon }) => taxon.parts.length > 0).map(({ id }) => id).sort((a, b) => commonName(a).localeCompare(commonName(b)));
  const shown = all ? wanted : wanted.filter((id) => forgone.includes(id));
  return (
    <View style={styles.rule}>
      <Strong>Left alone, whatever is seen</Strong>
      <Small soft>Some edible ones are not worth it: the lookalike is deadly, the difference fine, better food is near.</Small>
      {shown.length > 0 ? (
        <ChipRow label="Left alone">
          {shown.map((id) => <Chip key={id} kind="checkbox" label={CommonName(id)} chosen={forgone.includes(id)} disabled={!may} onPress={() => onChange(forgone.includes(id) ? forgone.filter((f) => f !== id) : [...forgone, id])} />)}
        </ChipRow>
      ) : <Body>None.</Body>}
      {may ? <Button label={all ? 'Show only what is left alone' : 'Choose'} tone="plain" style={styles.start} onPress={() => setAll(!all)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  line: { minHeight: TARGET + 8, flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  change: { gap: space.s, paddingBottom: space.m },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  rule: { gap: space.s, paddingTop: space.m },
});
