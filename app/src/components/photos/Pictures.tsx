import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { CharacterId } from '@pause/core';
import { Body, Button, Chip, colour, Small, space, Strong, stroke } from '..';
import type { Picture } from '../../notebook/pictures';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/pictures';
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
      () => setWrong(t.itCouldNotBeKept),
    );
  };
  return (
    <View style={styles.pictures}>
      {pictures.length > 0 ? (
        <View style={styles.row} role="list" aria-label={t.photosAndSketches}>
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
          {t.picturesCannotBeKeptIn}
        </Small>
      ) : null}
      {taken ? (
        <View style={styles.pictures}>
          <Body soft>{t.madeSmallWhatTheCamera}</Body>
          {taken.place ? (
            <Chip
              kind="checkbox"
              label={t.keepWhereItWasTaken}
              chosen={place}
              onPress={() => setPlace(!place)}
            />
          ) : null}
          <View style={styles.ways}>
            <Button
              label={t.keepThePhoto}
              onPress={() => keep('photo', taken.image, place ? taken.place : undefined)}
            />
            <Button label={t.throwAway} tone="outline" onPress={() => setTaken(undefined)} />
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
          <PickPhoto label={t.photo} onPhoto={setTaken} />
          <Button label={t.sketch} tone="outline" onPress={() => setDrawing(true)} />
        </View>
      )}
      <Small soft>
        {going
          ? t.sendingPicturesLeftPercentOf(going.left, Math.round(going.share * 100))
          : me?.account
            ? t.keptHereAndInThe
            : t.photosAndSketchesStayOn}
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
  const name = `${picture.kind === 'photo' ? t.photo : t.sketch}${picture.character ? ` · ${characterName(picture.character)}` : ''}`;
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
        <Button label={large ? t.smaller : t.larger} tone="plain" onPress={() => setLarge(!large)} />
        {large && onDrop ? <Button label={t.deleteIt} tone="plain" onPress={onDrop} /> : null}
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
