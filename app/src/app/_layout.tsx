import { Slot } from 'expo-router';
import { startTransition, useCallback, useEffect, useLayoutEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Provider } from 'react-redux';
import { Broken } from '../components/Broken';
import { useFontsReady } from '../components/fonts';
import { Notice } from '../components/Notice';
import { fetchWords } from '../components/OutboxLine';
import { applyLook, colour, space } from '../components/tokens';
import { onlyWhereItBegan } from '../components/whereItBegan';
import { TextSize } from '../components/Words';
import { workerEvaluator } from '../deciding/client';
import { loadGuide } from '../deciding/guide';
import { breath, drawn } from '../lib/breath';
import { httpApi } from '../notebook/api';
import { browserDevice } from '../notebook/device';
import { keepLook, keptLook, look, whenLookSet } from '../notebook/look';
import { loadMe } from '../notebook/open';
import { openOutbox } from '../notebook/outboxActions';
import { makeStore, useApp, type Store } from '../notebook/store';
import { tellEmptied, whenEmptied } from '../notebook/windows';
import { t } from '../text/en/components';

// Before anything is drawn, so that nothing flashes up in other colours.
applyLook(keptLook(window.localStorage), document.documentElement);
onlyWhereItBegan(document);

/** The page follows what is set, here or in another window, and the device keeps it. */
function keepOwn(store: Store): void {
  let was = store.getState();
  store.subscribe(() => {
    const now = store.getState();
    if (now.look !== was.look) {
      applyLook(now.look, document.documentElement);
      keepLook(window.localStorage, now.look);
    }
    was = now;
  });
  whenLookSet(window, (settings) => store.dispatch(look.actions.lookReplaced(settings)));
}

/** What the screens work with: the notebook, and what decides beside them, made ready. */
interface Loaded {
  readonly store: Store;
  readonly beginDeciding: () => void;
}

/**
 * The screen is drawn first; then comes what this device keeps and what the server knows; and when that has come to
 * rest who decides, unless somebody asked before, and the application for when there is no connection.
 */
function openNotebook({ store, beginDeciding }: Loaded): () => void {
  const again = () => void store.dispatch(loadMe());
  const begin = () => {
    void store
      .dispatch(openOutbox())
      .then(() => store.dispatch(loadMe()))
      .then(() => import('../notebook/worker'))
      .then(async (worker) => {
        worker.followServer(store);
        fetchWords();
        await worker.takeOverEarlier(store);
        await worker.rested();
        beginDeciding();
        await worker.keepApplication(store.dispatch);
      })
      .catch(() => undefined);
  };
  // The screen's own program may still be on its way.
  const whenDrawn = () => {
    if (document.querySelector('[role="main"]')) setTimeout(begin, 0);
    else drawn = requestAnimationFrame(whenDrawn);
  };
  let drawn = requestAnimationFrame(whenDrawn);
  window.addEventListener('online', again);
  return () => {
    cancelAnimationFrame(drawn);
    window.removeEventListener('online', again);
  };
}

/** Loads the guide, and opens the store over the device and the server. */
async function load(): Promise<Loaded> {
  const guide = await loadGuide();
  await breath();
  const evaluator = workerEvaluator(guide);
  const store = makeStore(
    {
      api: httpApi,
      device: browserDevice(window.localStorage),
      album: () => import('../notebook/outside').then((outside) => outside.album),
      evaluator,
      clock: Date.now,
      drawn,
      emptied: tellEmptied,
    },
    { look: keptLook(window.localStorage) },
  );
  keepOwn(store);
  // What is recorded here from now on would be in the name of somebody who has gone.
  whenEmptied(() => window.location.assign('/'));
  return { store, beginDeciding: evaluator.begin };
}

export default function Layout() {
  const fontsReady = useFontsReady();
  const [loaded, setLoaded] = useState<Loaded | 'failed' | undefined>();
  const open = useCallback(() => {
    setLoaded(undefined);
    load()
      .then((all) => startTransition(() => setLoaded(all)))
      .catch(() => setLoaded('failed'));
  }, []);
  useEffect(open, [open]);
  const ready = fontsReady && loaded !== undefined;
  // What the page shows by itself makes way for the program.
  useLayoutEffect(() => {
    if (ready) document.getElementById('first')?.remove();
  }, [ready]);
  useEffect(
    () => (loaded && loaded !== 'failed' && ready ? openNotebook(loaded) : undefined),
    [loaded, ready],
  );
  if (!ready) return null;
  if (loaded === 'failed') {
    return (
      <SafeAreaProvider>
        <View style={styles.alone}>
          <Notice
            whole
            title={t.theGuideDidNotLoad}
            text={t.withoutItNothingCanBe}
            action={t.tryAgain}
            onAction={open}
          />
        </View>
      </SafeAreaProvider>
    );
  }
  return (
    <Provider store={loaded.store}>
      <SafeAreaProvider>
        <Read>
          <Slot unstable_screenErrorBoundary={Broken} />
        </Read>
      </SafeAreaProvider>
    </Provider>
  );
}

/** What is read is as large as the person has set. */
function Read({ children }: { readonly children: React.ReactNode }) {
  return <TextSize.Provider value={useApp((state) => state.look.text)}>{children}</TextSize.Provider>;
}

const styles = StyleSheet.create({
  alone: { flex: 1, justifyContent: 'center', padding: space.l, backgroundColor: colour.ground },
});
