import type { Sureness } from '@pause/core';
import { t } from '../../text/en/answer';

/** How sure an answer can be, surest first. */
export const SURENESSES: readonly { readonly id: Sureness; readonly label: string }[] = [
  { id: 'sure', label: t.sure },
  { id: 'fairly', label: t.fairly },
  { id: 'guess', label: t.guess },
];
