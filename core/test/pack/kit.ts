import { applyPack, parsePack } from '../../src/questions';
import { guide } from '../finds';

export const pack = (more: Record<string, unknown> = {}) => ({
  format: 'pause-pack/1',
  id: 'lower-valley',
  title: 'The lower valley',
  licence: 'CC0-1.0',
  about: 'What grows below the weir.',
  over: guide.guide.id,
  ...more,
});

export const lay = (more: Record<string, unknown>) => applyPack(guide.guide, parsePack(pack(more)));
