import { useLocalSearchParams, useRouter } from 'expo-router';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, colour, Heading, Notice, Screen, Small, space, Title, typeSize } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/pair';
import { CommonName, harmLine, scientificName } from '../../text/names';
import { SideBySide } from '../check/beside/late';

/** Any two taxa side by side, without a find. */
export function PairScreen() {
  const { a, b } = useLocalSearchParams<{ a?: string; b?: string }>();
  const router = useRouter();
  const [one, other] = [guide.taxon(a ?? ''), guide.taxon(b ?? '')];
  if (!one || !other || one === other)
    return (
      <Screen>
        <Notice
          whole
          title={t.twoOfTheGuideAre}
          text={t.oneOfTheseIsNot}
          action={t.toTheGuide}
          onAction={() => router.replace('/guide')}
        />
      </Screen>
    );
  return (
    <Screen panes>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page}>
        <View style={styles.sheet}>
          <Title>{t.whereTheyPart}</Title>
          <View style={styles.names}>
            {[one, other].map((taxon, i) => (
              <View key={taxon.id} style={[styles.half, i === 1 && styles.right]}>
                <Heading>{CommonName(taxon.id)}</Heading>
                <Small soft style={styles.scientific}>
                  {scientificName(taxon.id)}
                </Small>
                <Small soft>{harmLine(taxon.id)}</Small>
              </View>
            ))}
          </View>
          <SideBySide key={`${one.id} ${other.id}`} stages={undefined} target={one} other={other} />
          <Button
            label={t.back}
            tone="outline"
            style={styles.back}
            onPress={() =>
              router.canGoBack()
                ? router.back()
                : router.replace({ pathname: '/taxon/[id]', params: { id: one.id } })
            }
          />
        </View>
      </ScrollView>
    </Screen>
  );
}

const styles = StyleSheet.create({
  page: { padding: space.l, paddingBottom: space.xl },
  sheet: { gap: space.m, width: '100%', maxWidth: 760, alignSelf: 'center' },
  // In large letters one above the other: no name is broken.
  names: { flexDirection: 'row', flexWrap: 'wrap', rowGap: space.m },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(140), gap: 2, paddingRight: space.s },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  scientific: { fontStyle: 'italic' },
  back: { alignSelf: 'flex-start' },
});
