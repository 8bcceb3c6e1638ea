/** A failure that the person can mend; its message is one sentence that says how. */
export class Hitch extends Error {}

export function say(text: string): void {
  process.stdout.write(`${text}\n`);
}

/** Runs a step with its place in the whole, and says how long it took when that is worth saying. */
export async function step<T>(number: number, of: number, name: string, work: () => Promise<T>): Promise<T> {
  say(`[${number}/${of}] ${name}`);
  const start = Date.now();
  const result = await work();
  const seconds = Math.round((Date.now() - start) / 1000);
  if (seconds >= 2) say(`      done in ${seconds} s`);
  return result;
}
