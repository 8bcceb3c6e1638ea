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
  const act = useAct();
  const router = useRouter();
  const [open, setOpen] = useState<string | undefined>();
  const keeper = group.role === 'keeper';
  return (
    <View style={styles.block}>
      <Heading>{t.whoBelongsToIt}</Heading>
      <View role="list" aria-label={t.members}>
        <Rule />
        {byRole(group).map(({ person, name, role }) => (
          <View key={person} role="listitem">
            <Line
              end={
                person === me || keeper ? (
                  <Button
                    label={open === person ? t.close : t.change}
                    tone="plain"
                    aria-label={`${open === person ? t.close : t.change} ${name}`}
                    onPress={() => setOpen(open === person ? undefined : person)}
                  />
                ) : null
              }
            >
              <Strong>
                {name}
                {person === me ? t.youInBrackets : ''}
              </Strong>
              <Small soft>
                {ROLE[role]}: {ROLE_MEANS[role]}
              </Small>
            </Line>
            {open === person ? (
              <View style={styles.change}>
                {keeper ? (
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
                  label={person === me ? t.leaveTheGroup : t.takeOutOfTheGroup(name)}
                  tone="outline"
                  style={styles.start}
                  onPress={() =>
                    void act(takeOut(group.id, person)).then((outcome) => {
                      save(outcome);
                      if (outcome.ok && person === me) router.replace('/notebook');
                    })
                  }
                />
                <Small soft>{t.whatWasRecordedInThe}</Small>
              </View>
            ) : null}
            <Rule />
          </View>
        ))}
      </View>
      {group.former.length > 0 ? (
        <Small soft>{t.belongedToItBefore(group.former.map(({ name }) => name).join(', '))}</Small>
      ) : null}
    </View>
  );
}
