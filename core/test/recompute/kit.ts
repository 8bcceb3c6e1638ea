import { shippedGuide } from '@pause/guide';
import { compileGuide } from '../../src';
import { parseGuide } from '../../src/guide/parse';

type Json = Record<string, unknown>;
export interface RawGuide {
  taxa: (Json & { id: string; statements: (Json & { character: string })[] })[];
  characters: (Json & { id: string; states?: Json[] })[];
}

export function changed(change: (raw: RawGuide) => void) {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as RawGuide;
  change(raw);
  return compileGuide(parseGuide(raw));
}

export const statement = (raw: RawGuide, taxon: string, character: string) =>
  raw.taxa.find((t) => t.id === taxon)!.statements.find((s) => s.character === character)!;
