import { useState } from 'react';

/**
 * A text being written over what was recorded before. What another device recorded meanwhile is shown, unless
 * something else is being written.
 */
export function useText(saved: string): [text: string, setText: (text: string) => void] {
  const [text, setText] = useState(saved);
  const [was, setWas] = useState(saved);
  if (was !== saved) {
    setWas(saved);
    if (text.trim() === was) setText(saved);
  }
  return [text, setText];
}
