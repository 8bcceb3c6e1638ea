import { useRouter } from 'expo-router';
import { Pressable, StyleSheet } from 'react-native';
import { SmallStrong, TARGET } from '../../../components';
import { t } from '../../../text/en/besideLink';

/** A way to where two stand side by side, from wherever a lookalike is named. */
export function BesideLink({ find, other }: { readonly find: string; readonly other: string }) {
  const router = useRouter();
  return (
    <Pressable
      role="link"
      onPress={() => router.push({ pathname: '/find/[id]/beside', params: { id: find, other } })}
      style={styles.link}
    >
      <SmallStrong style={styles.underlined}>{t.sideBySide}</SmallStrong>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  link: { minHeight: TARGET, justifyContent: 'center', alignSelf: 'flex-start' },
  underlined: { textDecorationLine: 'underline' },
});
