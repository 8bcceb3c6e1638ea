import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, colour, corner, Small, space, Strong } from '../../ui';
import { usePantry } from './pantry';
import { useRecalls, type Recalls } from './recalls';

/** Something that was gathered or made no longer stands: said wherever one begins, until somebody has seen to it. */
export function RecallNotice({ recalls: { open, run } }: { readonly recalls: Recalls }) {
  const router = useRouter();
  if (run) return <Small soft>The notebook asks everything again by the newer guide: {run.done} of {run.total} finds.</Small>;
  const made = open.filter(({ kind }) => kind !== 'find');
  if (open.length === 0) return null;
  const most = made.length > 0 ? made : open;
  return (
    <View style={styles.notice} role="status" aria-label="In question">
      <Strong>{most.length === 1 ? 'One thing' : `${most.length} things`} you {made.length > 0 ? 'have' : 'found'} no longer {most.length === 1 ? 'stands' : 'stand'}</Strong>
      <Small>{made.length > 0 ? 'Eat nothing of it until you have looked at why.' : 'It was collected, and would not be now.'}</Small>
      <Button label="What, and why" tone="outline" style={styles.start} onPress={() => router.push('/recall')} />
    </View>
  );
}

/** The same for the first screen, where the pantry is not open. */
export function Recalled() {
  return <RecallNotice recalls={useRecalls(usePantry())} />;
}

const styles = StyleSheet.create({
  notice: { gap: space.xs, padding: space.m, backgroundColor: colour.pause, borderRadius: corner },
  start: { alignSelf: 'flex-start', marginTop: space.xs },
});
