import { useState } from 'react';

/**
 * A text being written over what was told before. What another device told meanwhile is shown, unless
 * something else is being written.
 */
export function useText(told: string): [text: string, setText: (text: string) => void] {
  const [text, setText] = useState(told);
  const [was, setWas] = useState(told);
  if (was !== told) {
    setWas(told);
    if (text.trim() === was) setText(told);
  }
  return [text, setText];
}
