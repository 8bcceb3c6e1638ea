import { useLocalSearchParams, useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { Screen, Notice } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/taxon';
import { Characters, Sources } from './TaxonCharacters';
import { Head, Names, Harm, Lookalikes } from './TaxonParts';
import { Plates } from './TaxonPlates';
import { styles } from './taxonStyles';
import { Uses } from './TaxonUses';

/** All that the guide says of one taxon. */
export function TaxonScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const taxon = guide.taxon(id);
  if (!taxon)
    return (
      <Screen>
        <Notice
          whole
          title={t.notInThisGuide}
          text={t.whatItDoesNotName}
          action={t.toTheGuide}
          onAction={() => router.replace('/guide')}
        />
      </Screen>
    );
  return (
    <Screen panes>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page} key={id}>
        <View style={styles.sheet}>
          <View style={styles.top}>
            <Head taxon={taxon} />
            <Plates taxon={taxon} />
          </View>
          <Names taxon={taxon} />
          <Harm taxon={taxon} />
          <Lookalikes taxon={taxon} />
          <Uses taxon={taxon} />
          <Characters taxon={taxon} />
          <Sources taxon={taxon} />
        </View>
      </ScrollView>
    </Screen>
  );
}
