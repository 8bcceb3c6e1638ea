import { useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { Button, Strong, Small } from '../../components';
import { type Thunk, useAct } from '../../notebook/store';
import { t } from '../../text/en/sheet';
import type { Typed, Sheet } from './sheet';
import { styles } from './sheetStyles';

/** The parts of a sheet. */

const SHEETS = 'sheets';

const Kept = z
  .record(z.string(), z.object({ who: z.string(), when: z.string(), amount: z.string(), signs: z.string() }))
  .catch({});

export const keptSheets =
  (): Thunk<Promise<Record<string, Typed>>> =>
  async (_, __, { device }) =>
    Kept.parse(await device.file(SHEETS));

export const keepSheet =
  (id: string, typed: Typed): Thunk<Promise<void>> =>
  async (dispatch, _, { device }) => {
    await device.keepFile(SHEETS, { ...(await dispatch(keptSheets())), [id]: typed }).catch(() => undefined);
  };

export const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

const picturesOf =
  (finds: readonly string[]): Thunk<Promise<{ type: string; bytes: Uint8Array<ArrayBuffer> }[]>> =>
  async (_, __, { album }) => {
    try {
      const all = await Promise.all(finds.map(async (find) => (await album()).of(find)));
      return await Promise.all(
        all
          .flat()
          .map(async ({ image }) => ({ type: image.type, bytes: new Uint8Array(await image.arrayBuffer()) })),
      );
    } catch {
      // Without its photos it is still the sheet.
      return [];
    }
  };

/** On paper, or as a file to send. */
export function Hand({ sheet }: { readonly sheet: Sheet }) {
  const act = useAct();
  const [state, setState] = useState<'ready' | 'making' | 'failed'>('ready');
  const save = async () => {
    setState('making');
    try {
      const [{ pdfOf }, photos] = [await import('./pdf'), await act(picturesOf(sheet.finds))];
      const bytes = await pdfOf(sheet, photos).catch(() => pdfOf(sheet, []));
      const link = Object.assign(document.createElement('a'), {
        href: URL.createObjectURL(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' })),
        download: 'pause-sheet.pdf',
      });
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
      setState('ready');
    } catch {
      setState('failed');
    }
  };
  return (
    <View style={styles.ways}>
      <Button
        label={state === 'making' ? t.makingIt : t.saveAsPdf}
        disabled={state === 'making'}
        onPress={() => void save()}
      />
      <Button label={t.printIt} tone="outline" onPress={() => window.print()} />
      {state === 'failed' ? <Strong role="alert">{t.thePdfCouldNotBe}</Strong> : null}
    </View>
  );
}

/** How long the stand-in takes to answer. */
const ANSWERS_MS = 900;

/** A stand-in of the demo: it acknowledges, and calls nobody. */
export function PoisonLine({ sheet }: { readonly sheet: Sheet }) {
  const [answer, setAnswer] = useState<string>();
  const [asking, setAsking] = useState(false);
  const report = () => {
    setAsking(true);
    setTimeout(() => {
      setAsking(false);
      setAnswer(`O-${String(1000 + (sheet.parts.flatMap(({ lines }) => lines).join('').length % 9000))}`);
    }, ANSWERS_MS);
  };
  return (
    <View style={styles.block}>
      <Small soft>{t.aMadeUpPoisonLine}</Small>
      <Button
        label={asking ? t.sending : t.sendItToTheMade}
        tone="outline"
        disabled={asking}
        style={styles.start}
        onPress={report}
      />
      {answer ? (
        <Strong role="status" aria-label={t.theMadeUpPoisonLine}>
          {t.receivedAsCaseStayWith(answer)}
        </Strong>
      ) : null}
    </View>
  );
}
