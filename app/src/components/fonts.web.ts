import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BricolageGrotesque_600SemiBold } from '@expo-google-fonts/bricolage-grotesque/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { useEffect, useState } from 'react';
import { fontAddress } from './fontAddress';

const FONTS = {
  AtkinsonHyperlegibleNext_400Regular,
  AtkinsonHyperlegibleNext_600SemiBold,
  BricolageGrotesque_600SemiBold,
  BricolageGrotesque_700Bold,
};
/** After so long the system's own letters do until the others come. */
const FONTS_MS = 5000;

/** The same as in `fonts.ts`, by what a browser has for it. */
export function useFontsReady(): boolean {
  const [ready, setReady] = useState(false);
  useEffect(() => {
    const faces = Object.entries(FONTS).map(
      ([family, font]) => new FontFace(family, `url("${fontAddress(font)}")`),
    );
    for (const face of faces) document.fonts.add(face);
    const done = () => setReady(true);
    setTimeout(done, FONTS_MS);
    void Promise.allSettled(faces.map((face) => face.load())).then(done);
  }, []);
  return ready;
}
