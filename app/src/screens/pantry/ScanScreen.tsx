import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { batchOfAddress, shortCode } from '@pause/core/pantry';
import {
  Body,
  Button,
  colour,
  corner,
  Field,
  Heading,
  Screen,
  space,
  stroke,
  Strong,
  Title,
} from '../../components';
import { chooseFile } from '../../lib/files';
import { usePantry } from '../../notebook/pantry';
import { t } from '../../text/en/pantry';

/** Reads a label: by the camera, from a picture, or by its letters. */
export function ScanScreen() {
  const router = useRouter();
  const [message, setMessage] = useState<string>();
  const [filming, setFilming] = useState(false);
  const open = (text: string | undefined, what: string) => {
    const id = text === undefined ? undefined : batchOfAddress(text);
    if (id === undefined) setMessage(text === undefined ? t.noSquareWasFoundMore(what) : t.thisSquareIsOfNo);
    else router.replace({ pathname: '/batch/[id]', params: { id } });
  };
  const film = (on: boolean) => {
    setMessage(undefined);
    setFilming(on);
  };
  const fromPicture = async () => {
    const file = await chooseFile('image/*');
    if (!file) return;
    setMessage(undefined);
    try {
      open(await readSquare(file), t.inThePicture);
    } catch {
      setMessage(t.thisIsNoPictureThat);
    }
  };
  return (
    <Screen>
      <Title>{t.readALabel}</Title>
      {filming ? (
        <>
          <Camera
            onText={(text) => {
              film(false);
              open(text, '');
            }}
            onFail={(why) => {
              film(false);
              setMessage(why);
            }}
          />
          <Button label={t.stop} tone="outline" onPress={() => film(false)} />
        </>
      ) : (
        <Button label={t.withTheCamera} onPress={() => film(true)} />
      )}
      <Button label={t.fromAPicture} tone="outline" onPress={() => void fromPicture()} />
      {message === undefined ? null : <Strong role="alert">{message}</Strong>}
      <ByLetters />
    </Screen>
  );
}

function ByLetters() {
  const router = useRouter();
  const pantry = usePantry();
  const [code, setCode] = useState('');
  const batch = pantry.batches.find(({ id }) => shortCode(id) === code.trim().toUpperCase());
  return (
    <View style={styles.block}>
      <Heading>{t.orByItsLetters}</Heading>
      <Field
        label={t.theEightLettersAtThe}
        value={code}
        onChangeText={setCode}
        maxLength={12}
        autoCapitalize="characters"
      />
      {code.trim().length >= 8 && !batch ? <Body>{t.noBatchOfThisNotebook}</Body> : null}
      <Button
        label={t.openIt}
        tone="outline"
        disabled={!batch}
        style={styles.start}
        onPress={() => {
          if (batch) router.replace({ pathname: '/batch/[id]', params: { id: batch.id } });
        }}
      />
    </View>
  );
}

/**
 * Pictures are read at this width at most: a square on a label is large in it, and more would only take
 * longer.
 */
const MOST_PIXELS = 1600;

/** The text of the square in a picture; nothing where there is none. */
export async function readSquare(file: Blob): Promise<string | undefined> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, MOST_PIXELS / Math.max(picture.width, picture.height));
  return squareIn(picture, Math.round(picture.width * scale), Math.round(picture.height * scale));
}

async function squareIn(
  source: CanvasImageSource,
  width: number,
  height: number,
): Promise<string | undefined> {
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context || width === 0 || height === 0) return undefined;
  context.drawImage(source, 0, 0, width, height);
  const { default: jsQr } = await import('jsqr');
  return jsQr(context.getImageData(0, 0, width, height).data, width, height)?.data;
}

const LOOK_MS = 250;

function Camera({
  onText,
  onFail,
}: {
  readonly onText: (text: string) => void;
  readonly onFail: (why: string) => void;
}) {
  const place = useRef<HTMLDivElement>(null);
  const callbacks = useRef({ onText, onFail });
  useEffect(() => {
    callbacks.current = { onText, onFail };
  });
  useEffect(() => {
    const ended = { is: false };
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const begin = async () => {
      if (!('mediaDevices' in navigator)) throw new Error('none');
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      if (ended.is) return;
      const video = Object.assign(document.createElement('video'), {
        srcObject: stream,
        muted: true,
        playsInline: true,
      });
      Object.assign(video.style, { width: '100%', display: 'block' });
      place.current?.append(video);
      await video.play();
      const look = async () => {
        const text = await squareIn(video, video.videoWidth, video.videoHeight);
        if (ended.is) return;
        if (text !== undefined) callbacks.current.onText(text);
        else timer = setTimeout(() => void look(), LOOK_MS);
      };
      await look();
    };
    begin().catch(() => {
      if (!ended.is) callbacks.current.onFail(t.thisDeviceGivesNoPicture);
    });
    return () => {
      ended.is = true;
      clearTimeout(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  return (
    <View style={styles.camera} role="img" aria-label={t.whatTheCameraSees}>
      <div ref={place} />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s, marginTop: space.l },
  start: { alignSelf: 'flex-start' },
  camera: {
    minHeight: 220,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    overflow: 'hidden',
    backgroundColor: colour.shade,
  },
});
