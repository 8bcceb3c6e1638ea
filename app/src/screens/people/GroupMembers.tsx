import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Heading, Line, Rule, Button, Strong, Small, ChipRow, Chip } from '../../components';
import type { Group } from '../../notebook/api';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
import { ROLE, ROLE_MEANS } from '../../text/groups';
import { type Outcome, changeRole, takeOut } from './account';
import { styles } from './groupStyles';

/** The members of a group. */

const ROLES = ['keeper', 'member', 'young'] as const;

const byRole = ({ members }: Group) =>
  [...members].sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role));

interface Part {
  readonly group: Group;
  readonly save: (outcome: Outcome) => void;
}

export function Members({ group, me, save }: Part & { readonly me: string }) {
  const [open, setOpen] = useState<string | undefined>();
  return (
    <View style={styles.block}>
      <Heading>{t.whoBelongsToIt}</Heading>
      <View role="list" aria-label={t.members}>
        <Rule />
        {byRole(group).map((member) => (
          <MemberLine
            key={member.person}
            group={group}
            save={save}
            member={member}
            isMe={member.person === me}
            open={open === member.person}
            onOpen={() => setOpen(open === member.person ? undefined : member.person)}
          />
        ))}
      </View>
      {group.former.length > 0 ? (
        <Small soft>{t.belongedToItBefore(group.former.map(({ name }) => name).join(', '))}</Small>
      ) : null}
    </View>
  );
}

interface MemberProps extends Part {
  readonly member: Group['members'][number];
  readonly isMe: boolean;
}

function MemberLine({
  open,
  onOpen,
  ...of
}: MemberProps & { readonly open: boolean; readonly onOpen: () => void }) {
  const { name, role } = of.member;
  const change =
    of.isMe || of.group.role === 'keeper' ? (
      <Button
        label={open ? t.close : t.change}
        tone="plain"
        aria-label={`${open ? t.close : t.change} ${name}`}
        onPress={onOpen}
      />
    ) : null;
  return (
    <View role="listitem">
      <Line end={change}>
        <Strong>{of.isMe ? t.nameWithYou(name) : name}</Strong>
        <Small soft>
          {ROLE[role]}: {ROLE_MEANS[role]}
        </Small>
      </Line>
      {open ? <ChangeMember {...of} /> : null}
      <Rule />
    </View>
  );
}

/** A keeper says what somebody is; whoever it is may leave. */
function ChangeMember({ group, save, member: { person, name, role }, isMe }: MemberProps) {
  const act = useAct();
  const router = useRouter();
  const leave = () =>
    void act(takeOut(group.id, person)).then((outcome) => {
      save(outcome);
      if (outcome.ok && isMe) router.replace('/notebook');
    });
  return (
    <View style={styles.change}>
      {group.role === 'keeper' ? (
        <ChipRow label={t.whatIs(name)}>
          {ROLES.map((one) => (
            <Chip
              key={one}
              label={ROLE[one]}
              chosen={one === role}
              onPress={() => void act(changeRole(group.id, person, one)).then(save)}
            />
          ))}
        </ChipRow>
      ) : null}
      <Button
        label={isMe ? t.leaveTheGroup : t.takeOutOfTheGroup(name)}
        tone="outline"
        style={styles.start}
        onPress={leave}
      />
      <Small soft>{t.whatWasRecordedInThe}</Small>
    </View>
  );
}
