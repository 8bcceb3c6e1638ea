import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import {
  Button,
  Chip,
  ChipRow,
  Heading,
  Line,
  Rule,
  Small,
  SmallStrong,
  Strong,
  Stack,
} from '../../components';
import type { Group, Role } from '../../notebook/api';
import { useAct } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
import { ROLE, ROLE_MEANS } from '../../text/groups';
import { memberName } from '../../text/people';
import { invitationsOf, inviteTo, takeBackInvitation, type Outcome } from './account';
import { Code } from './Code';

const ROLES = ['keeper', 'member', 'young'] as const;
const Made = z.object({ code: z.string(), expiresAt: z.string() });
const Open = z.object({
  invitations: z.array(
    z.object({ id: z.string(), role: z.enum(ROLES), by: z.string(), expiresAt: z.string() }),
  ),
});
type OpenInvitation = z.infer<typeof Open>['invitations'][number];
const DAYS = 7;

interface InvitationsProps {
  readonly group: Group;
  readonly save: (outcome: Outcome) => void;
}

/** Codes that nobody has used yet; making one, and taking one back. */
function useInvitations({ group, save }: InvitationsProps) {
  const act = useAct();
  const [code, setCode] = useState<string | undefined>();
  const [open, setOpen] = useState<readonly OpenInvitation[]>([]);
  const look = useCallback(async () => {
    const outcome = await act(invitationsOf(group.id));
    setOpen(Open.safeParse(outcome.ok ? outcome.answer : undefined).data?.invitations ?? []);
  }, [act, group.id]);
  useEffect(() => {
    void look();
  }, [look]);
  const makeCode = async (role: Role) => {
    const outcome = await act(inviteTo(group.id, role, DAYS));
    save(outcome);
    setCode(Made.safeParse(outcome.ok ? outcome.answer : undefined).data?.code);
    await look();
  };
  const takeBack = async (id: string) => {
    save(await act(takeBackInvitation(group.id, id)));
    setCode(undefined);
    await look();
  };
  return { code, hideCode: () => setCode(undefined), open, makeCode, takeBack };
}

/** Letting somebody in, and the codes that nobody has used yet. */
export function Invitations({ group, save }: InvitationsProps) {
  const [role, setRole] = useState<Role>('member');
  const { code, hideCode, open, makeCode, takeBack } = useInvitations({ group, save });
  return (
    <Stack gap="s">
      <Heading>{t.letSomebodyIn}</Heading>
      <ChipRow label={t.asWhat}>
        {ROLES.map((one) => (
          <Chip
            key={one}
            label={ROLE[one]}
            chosen={one === role}
            onPress={() => {
              setRole(one);
              hideCode();
            }}
          />
        ))}
      </ChipRow>
      <Small soft>
        {ROLE[role]}: {ROLE_MEANS[role]}.
      </Small>
      {code ? <Code code={code} address={`${window.location.origin}/join?code=${code}`} /> : null}
      <Button
        label={code ? t.anotherCode : t.showACode}
        tone="outline"
        style={styles.start}
        onPress={() => void makeCode(role)}
      />
      <Small soft>{t.aCodeThatNobodyUsed(DAYS)}</Small>
      {open.length > 0 ? (
        <NotUsedYet group={group} open={open} onTakeBack={(id) => void takeBack(id)} />
      ) : null}
    </Stack>
  );
}

interface NotUsedProps {
  readonly group: Group;
  readonly open: readonly OpenInvitation[];
  readonly onTakeBack: (id: string) => void;
}

function NotUsedYet({ group, open, onTakeBack }: NotUsedProps) {
  return (
    <>
      <SmallStrong>{t.notUsedYet}</SmallStrong>
      <View role="list" aria-label={t.codesThatNobodyHasUsed}>
        <Rule />
        {open.map((one) => (
          <View key={one.id} role="listitem">
            <Line end={<Button label={t.takeBack} tone="plain" onPress={() => onTakeBack(one.id)} />}>
              <Strong>{ROLE[one.role]}</Strong>
              <Small soft>
                {t.madeByGoodUntil(memberName(group, one.by), dayWords(new Date(one.expiresAt), new Date()))}
              </Small>
            </Line>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
});
