import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useWide, Screen, Body, Notice, Small, Title, SmallStrong } from '../../components';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/people';
import { ROLE } from '../../text/groups';
import type { Outcome } from './account';
import { Agreed } from './GroupAgreed';
import { Members } from './GroupMembers';
import { Name, Rules } from './GroupRules';
import { styles } from './groupStyles';
import { Invitations } from './Invitations';

/** A group: who belongs to it, and the rules by which it decides. */
export function GroupScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const wide = useWide();
  const [message, setMessage] = useState<string | undefined>();
  const { status, person } = useApp((state) => state.me);
  const group = person?.groups.find((one) => one.id === id);
  if (status !== 'ready')
    return (
      <Screen>
        <Body soft>{t.openingTheNotebook}</Body>
      </Screen>
    );
  if (!person || !group)
    return (
      <Screen>
        <Notice
          whole
          title={t.thereIsNoSuchGroup}
          text={t.orYouDoNotBelong}
          action={t.notebookAndPeople}
          onAction={() => router.replace('/notebook')}
        />
      </Screen>
    );
  const save = (outcome: Outcome) => setMessage(outcome.ok ? undefined : outcome.title);
  return (
    <Screen>
      <View>
        <Small soft>{t.groupYouAre(ROLE[group.role].toLowerCase())}</Small>
        <Title>{group.name}</Title>
      </View>
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Members group={group} me={person.id} save={save} />
          {group.role === 'keeper' ? <Invitations group={group} save={save} /> : null}
          {group.role === 'keeper' ? <Name group={group} /> : null}
        </View>
        <View style={wide ? styles.grow : undefined}>
          <Rules group={group} />
          <Agreed group={group} />
        </View>
      </View>
    </Screen>
  );
}
