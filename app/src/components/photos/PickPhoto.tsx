import { createElement, useRef, useState } from 'react';
import { Button, Small, Strong, Stack } from '..';
import { t } from '../../text/en/photos';
import { NoPicture, preparePhoto, type Prepared } from './preparePhoto';

interface PickPhotoProps {
  readonly label: string;
  readonly onPhoto: (photo: Prepared) => void;
}

/** Takes a photo with the camera, or one that is there already. */
export function PickPhoto({ label, onPhoto }: PickPhotoProps) {
  const input = useRef<HTMLInputElement>(null);
  const [wrong, setWrong] = useState<string>();
  const [busy, setBusy] = useState(false);
  const take = (file: File | undefined) => {
    if (!file) return;
    setWrong(undefined);
    setBusy(true);
    preparePhoto(file)
      .then(onPhoto, (error: unknown) =>
        setWrong(error instanceof NoPicture ? error.message : t.thePhotoCouldNotBeRead),
      )
      .finally(() => setBusy(false));
  };
  return (
    <Stack gap="s">
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: 'image/*',
        capture: 'environment',
        'aria-label': label,
        tabIndex: -1,
        style: { display: 'none' },
        onChange: (event: { target: HTMLInputElement }) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        },
      })}
      <Button label={label} tone="outline" onPress={() => input.current?.click()} />
      {busy ? (
        <Small soft role="status">
          {t.makingItSmall}
        </Small>
      ) : null}
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
    </Stack>
  );
}
