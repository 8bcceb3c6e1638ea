import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { CharacterId } from '@pause/core';
import { Body, Button, Chip, colour, Small, space, Strong, stroke } from '..';
import type { Picture } from '../../notebook/pictures';
import { useAct, useApp } from '../../notebook/store';
import { characterName } from '../../text/names';
import { dropPicture, keepPicture } from './actions';
import { SketchPad } from './late';
import { PickPhoto } from './PickPhoto';
import type { Prepared } from './preparePhoto';
import { useObjectUrl } from './useObjectUrl';
import { usePictures } from './usePictures';

interface PicturesProps {
  readonly find: string;
  /** What is being looked at; new pictures are kept with it. */
  readonly character?: string;
}

/** Photos and sketches of a find: taken, drawn, looked at. */
export function Pictures({ find, character }: PicturesProps) {
  const act = useAct();
  const me = useApp((state) => state.me.person);
  const going = useApp((state) => state.outbox.pictures);
  const { pictures, failed, again } = usePictures(find);
  const [drawing, setDrawing] = useState(false);
  const [taken, setTaken] = useState<Prepared>();
  const [place, setPlace] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const keep = (kind: Picture['kind'], image: Blob, where?: Picture['place']) => {
    act(
      keepPicture({
        find,
        kind,
        image,
        ...(character ? { character: character as CharacterId } : {}),
        ...(where ? { place: where } : {}),
      }),
    ).then(
      () => {
        setTaken(undefined);
        setDrawing(false);
        setWrong(undefined);
        again();
      },
      () =>
        setWrong(
          'It could not be kept: the storage of this device is full, or closed to Pause. It is still here; make room and try again.',
        ),
    );
  };
  return (
    <View style={styles.pictures}>
      {pictures.length > 0 ? (
        <View style={styles.row} role="list" aria-label="Photos and sketches">
          {pictures.map((picture) => (
            <Thumbnail
              key={picture.id}
              picture={picture}
              onDrop={
                picture.by !== undefined && picture.by !== me?.id
                  ? undefined
                  : () => {
                      void act(dropPicture(picture)).then(again);
                    }
              }
            />
          ))}
        </View>
      ) : null}
      {failed ? (
        <Small soft role="status">
          Pictures cannot be kept in this browser window.
        </Small>
      ) : null}
      {taken ? (
        <View style={styles.pictures}>
          <Body soft>Made small. What the camera wrote into it, such as place and device, is gone.</Body>
          {taken.place ? (
            <Chip
              kind="checkbox"
              label="Keep where it was taken"
              chosen={place}
              onPress={() => setPlace(!place)}
            />
          ) : null}
          <View style={styles.ways}>
            <Button
              label="Keep the photo"
              onPress={() => keep('photo', taken.image, place ? taken.place : undefined)}
            />
            <Button label="Throw away" tone="outline" onPress={() => setTaken(undefined)} />
          </View>
        </View>
      ) : null}
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      {drawing ? (
        <SketchPad
          photos={pictures.filter((p) => p.kind === 'photo').map((p) => p.image)}
          onSave={(svg) => keep('sketch', svg)}
          onCancel={() => setDrawing(false)}
        />
      ) : taken ? null : (
        <View style={styles.ways}>
          <PickPhoto label="Photo" onPhoto={setTaken} />
          <Button label="Sketch" tone="outline" onPress={() => setDrawing(true)} />
        </View>
      )}
      <Small soft>
        {going
          ? `Sending pictures: ${going.left} left, ${Math.round(going.share * 100)} % of this one.`
          : me?.account
            ? 'Kept here, and in the notebook of this find as soon as there is a connection. Where a photo was taken stays on this device.'
            : 'Photos and sketches stay on this device.'}
      </Small>
    </View>
  );
}

function Thumbnail({
  picture,
  onDrop,
}: {
  readonly picture: Picture;
  readonly onDrop: (() => void) | undefined;
}) {
  const url = useObjectUrl(picture.image);
  const [large, setLarge] = useState(false);
  const name = `${picture.kind === 'photo' ? 'Photo' : 'Sketch'}${picture.character ? ` · ${characterName(picture.character)}` : ''}`;
  return (
    <View role="listitem" style={large ? styles.large : styles.thumbnail}>
      {url ? (
        <Image
          source={{ uri: url }}
          resizeMode="contain"
          accessibilityLabel={name}
          style={large ? styles.imageLarge : styles.image}
        />
      ) : null}
      <Small soft>{name}</Small>
      <View style={styles.ways}>
        <Button label={large ? 'Smaller' : 'Larger'} tone="plain" onPress={() => setLarge(!large)} />
        {large && onDrop ? <Button label="Delete it" tone="plain" onPress={onDrop} /> : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  pictures: { gap: space.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  thumbnail: { width: 128 },
  large: { width: '100%' },
  image: {
    width: 128,
    height: 104,
    backgroundColor: colour.shade,
    borderWidth: stroke.thin,
    borderColor: colour.line,
  },
  imageLarge: { width: '100%', height: 380, backgroundColor: colour.shade },
});
