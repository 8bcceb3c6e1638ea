import { type Language, speak } from './messages';

/** Languages beside English, each fetched when a device asks for it. */
const LANGUAGES: Readonly<Record<string, () => Promise<{ readonly language: Language }>>> = {
  'en-XA': () => import('./pseudo'),
};

/**
 * Chooses the first language of the device that Pause knows, English if there is none.
 *
 * @param wanted - BCP 47, the one liked best first
 */
export async function speakOneOf(wanted: readonly string[]): Promise<void> {
  const tag = wanted.find((one) => one in LANGUAGES);
  const fetched = await LANGUAGES[tag ?? '']?.().catch(() => undefined);
  if (fetched) speak(fetched.language);
}
