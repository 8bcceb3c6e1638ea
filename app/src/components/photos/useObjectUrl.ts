import { useEffect, useMemo, useState } from 'react';

/** An address for a picture, given back when it is no longer shown. */
export function useObjectUrl(image: Blob): string | undefined {
  const [url, setUrl] = useState<string>();
  const made = useMemo(() => ({ image }), [image]);
  useEffect(() => {
    const address = URL.createObjectURL(made.image);
    setUrl(address);
    return () => URL.revokeObjectURL(address);
  }, [made]);
  return url;
}
