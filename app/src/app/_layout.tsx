import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BricolageGrotesque_600SemiBold } from '@expo-google-fonts/bricolage-grotesque/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { workerEvaluator } from '../evaluate/client';
import { loadMe, openOutbox } from '../store/actions';
import { httpApi } from '../store/api';
import { browserKeep } from '../store/keep';
import { makeStore } from '../store/store';

export default function Layout() {
  const [fontsReady, fontsFailed] = useFonts({
    AtkinsonHyperlegibleNext_400Regular, AtkinsonHyperlegibleNext_600SemiBold, BricolageGrotesque_600SemiBold, BricolageGrotesque_700Bold,
  });
  const [store] = useState(() => makeStore({
    api: httpApi, keep: browserKeep(window.localStorage), evaluator: workerEvaluator(), clock: Date.now,
  }));
  useEffect(() => {
    store.dispatch(openOutbox());
    void store.dispatch(loadMe());
  }, [store]);
  if (!fontsReady && !fontsFailed) return null;
  return (
    <Provider store={store}>
      <SafeAreaProvider>
        <Slot />
      </SafeAreaProvider>
    </Provider>
  );
}
