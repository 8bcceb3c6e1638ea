import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { CharacterId } from '@pause/core';
import { Body, Button, Chip, colour, Small, Strong, stroke, Stack, Row } from '..';
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
  readonly character?: string | undefined;
}

/** Photos and sketches of a find: taken, drawn, looked at. */
export function Pictures({ find, character }: PicturesProps) {
  const { pictures, failed, again } = usePictures(find);
  return (
    <Stack gap="m">
      <Thumbnails pictures={pictures} again={again} />
      {failed ? (
        <Small soft role="status">
          {t.picturesCannotBeKeptIn}
        </Small>
      ) : null}
      <NewPicture
        find={find}
        character={character}
        photos={pictures.filter((p) => p.kind === 'photo').map((p) => p.image)}
        onKept={again}
      />
      <WhereKept />
    </Stack>
  );
}

interface ThumbnailsProps {
  readonly pictures: readonly Picture[];
  readonly again: () => void;
}

/** One's own can be taken out again. */
function Thumbnails({ pictures, again }: ThumbnailsProps) {
  const act = useAct();
  const me = useApp((state) => state.me.person?.id);
  if (pictures.length === 0) return null;
  return (
    <Row wrap gap="m" role="list" aria-label={t.photosAndSketches}>
      {pictures.map((picture) => (
        <Thumbnail
          key={picture.id}
          picture={picture}
          onDrop={
            picture.by !== undefined && picture.by !== me
              ? undefined
              : () => {
                  void act(dropPicture(picture)).then(again);
                }
          }
        />
      ))}
    </Row>
  );
}

function WhereKept() {
  const account = useApp((state) => state.me.person?.account === true);
  const going = useApp((state) => state.outbox.pictures);
  return (
    <Small soft>
      {going
        ? t.sendingPicturesLeftPercentOf(going.left, Math.round(going.share * 100))
        : account
          ? t.keptHereAndInThe
          : t.photosAndSketchesStayOn}
    </Small>
  );
}

interface NewPictureProps extends PicturesProps {
  /** Photos that can be drawn on. */
  readonly photos: readonly Blob[];
  readonly onKept: () => void;
}

/** A photo that is taken, or a sketch that is drawn. */
function NewPicture({ find, character, photos, onKept }: NewPictureProps) {
  const act = useAct();
  const [drawing, setDrawing] = useState(false);
  const [taken, setTaken] = useState<Prepared>();
  const [wrong, setWrong] = useState<string>();
  const keep = (kind: Picture['kind'], image: Blob, place?: Picture['place']) => {
    act(
      keepPicture({
        find,
        kind,
        image,
        ...(character ? { character: character as CharacterId } : {}),
        ...(place ? { place } : {}),
      }),
    ).then(
      () => {
        setTaken(undefined);
        setDrawing(false);
        setWrong(undefined);
        onKept();
      },
      () => setWrong(t.itCouldNotBeKept),
    );
  };
  return (
    <>
      {taken ? (
        <KeepPhoto
          taken={taken}
          onKeep={(place) => keep('photo', taken.image, place)}
          onThrowAway={() => setTaken(undefined)}
        />
      ) : null}
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      {drawing ? (
        <SketchPad photos={photos} onSave={(svg) => keep('sketch', svg)} onCancel={() => setDrawing(false)} />
      ) : taken ? null : (
        <Row wrap gap="s">
          <PickPhoto label={t.photo} onPhoto={setTaken} />
          <Button label={t.sketch} tone="outline" onPress={() => setDrawing(true)} />
        </Row>
      )}
    </>
  );
}

interface KeepPhotoProps {
  readonly taken: Prepared;
  /** With where it was taken, if that is wanted. */
  readonly onKeep: (place: Picture['place'] | undefined) => void;
  readonly onThrowAway: () => void;
}

function KeepPhoto({ taken, onKeep, onThrowAway }: KeepPhotoProps) {
  const [place, setPlace] = useState(false);
  return (
    <Stack gap="m">
      <Body soft>{t.madeSmallWhatTheCamera}</Body>
      {taken.place ? (
        <Chip kind="checkbox" label={t.keepWhereItWasTaken} chosen={place} onPress={() => setPlace(!place)} />
      ) : null}
      <Row wrap gap="s">
        <Button label={t.keepThePhoto} onPress={() => onKeep(place ? taken.place : undefined)} />
        <Button label={t.throwAway} tone="outline" onPress={onThrowAway} />
      </Row>
    </Stack>
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
  const kind = picture.kind === 'photo' ? t.photo : t.sketch;
  const name = picture.character ? `${kind} · ${characterName(picture.character)}` : kind;
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
      <Row wrap gap="s">
        <Button label={large ? t.smaller : t.larger} tone="plain" onPress={() => setLarge(!large)} />
        {large && onDrop ? <Button label={t.deleteIt} tone="plain" onPress={onDrop} /> : null}
      </Row>
    </View>
  );
}

const styles = StyleSheet.create({
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
