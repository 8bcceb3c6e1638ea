import { messages } from '../messages';

export const t = messages('besideLink', {
  sideBySide: 'Side by side',
});
