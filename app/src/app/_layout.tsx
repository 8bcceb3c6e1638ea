import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BricolageGrotesque_600SemiBold } from '@expo-google-fonts/bricolage-grotesque/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Provider } from 'react-redux';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { workerEvaluator } from '../evaluate/client';
import { loadGuide } from '../evaluate/guide';
import { loadMe, openOutbox } from '../store/actions';
import { httpApi } from '../store/api';
import { browserKeep } from '../store/keep';
import { makeStore, type Store } from '../store/store';
import { Notice } from '../ui/Notice';
import { colour, space } from '../ui/tokens';

export default function Layout() {
  const [fontsReady, fontsFailed] = useFonts({
    AtkinsonHyperlegibleNext_400Regular, AtkinsonHyperlegibleNext_600SemiBold, BricolageGrotesque_600SemiBold, BricolageGrotesque_700Bold,
  });
  const [loaded, setLoaded] = useState<Store | 'failed' | undefined>();
  const open = useCallback(() => {
    setLoaded(undefined);
    loadGuide().then((guide) => {
      const store = makeStore({ api: httpApi, keep: browserKeep(window.localStorage), evaluator: workerEvaluator(guide), clock: Date.now });
      store.dispatch(openOutbox());
      void store.dispatch(loadMe());
      setLoaded(store);
    }, () => setLoaded('failed'));
  }, []);
  useEffect(open, [open]);
  if (!fontsReady && !fontsFailed) return null;
  if (loaded === 'failed') {
    return (
      <SafeAreaProvider>
        <View style={styles.alone}>
          <Notice title="The guide did not load" text="Without it nothing can be compared. Leave the find standing, or try again where there is a connection." action="Try again" onAction={open} />
        </View>
      </SafeAreaProvider>
    );
  }
  if (!loaded) return null;
  const store = loaded;
  return (
    <Provider store={store}>
      <SafeAreaProvider>
        <Slot />
      </SafeAreaProvider>
    </Provider>
  );
}

const styles = StyleSheet.create({
  alone: { flex: 1, justifyContent: 'center', padding: space.l, backgroundColor: colour.ground },
});
