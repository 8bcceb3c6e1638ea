import { useRouter } from 'expo-router';
import { Notice, Screen } from '../components';
import { t } from '../text/en/components';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen>
      <Notice
        whole
        title={t.thereIsNoSuchPage}
        text={t.theAddressLeadsNowhereIn}
        action={t.toTheStart}
        onAction={() => router.replace('/')}
      />
    </Screen>
  );
}
