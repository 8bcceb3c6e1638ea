import { useRouter } from 'expo-router';
import { Notice, Screen } from '../components';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen>
      <Notice
        whole
        title="There is no such page"
        text="The address leads nowhere in Pause."
        action="To the start"
        onAction={() => router.replace('/')}
      />
    </Screen>
  );
}
