import { shippedGuide } from '@pause/guide';

export type Json = Record<string, unknown>;
export const rawGuide = () =>
  JSON.parse(JSON.stringify(shippedGuide())) as Json & {
    taxa: (Json & { statements: Json[] })[];
    characters: Json[];
  };
