import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { ReadingValue, StateId } from '@pause/core';
import { bladeForm, outlineTerm, TOO_CLOSE_TO_TELL, type Pixel } from '@pause/core/measuring';
import { Body, Button, Small, space, Strong } from '../../../components';
import { PickPhoto } from '../../../components/photos/PickPhoto';
import type { Prepared } from '../../../components/photos/preparePhoto';
import { characterOf, lowerFirst } from '../../../text/names';
import { PhotoBoard } from './PhotoBoard';

/**
 * The outline of a leaf drawn round it on a photo: what its measures come to, and how close the next term is.
 */
export function OutlineOnPhoto({ onAnswer }: { readonly onAnswer: (value: ReadingValue) => void }) {
  const [photo, setPhoto] = useState<Prepared>();
  const [outline, setOutline] = useState<readonly Pixel[]>([]);
  if (!photo) {
    return (
      <View style={styles.steps}>
        <Body soft>
          Lay one leaf flat and hold the phone level above it. Then draw round it, from where the stalk joins,
          back to there.
        </Body>
        <PickPhoto label="Take the photo" onPhoto={setPhoto} />
      </View>
    );
  }
  const form = bladeForm(outline);
  const named = form && outlineTerm(form);
  const label = (term: string) => {
    const character = characterOf('leaf.outline');
    return lowerFirst(
      (character && 'states' in character ? character.states.find((s) => s.id === term)?.label : undefined) ??
        term,
    );
  };
  const torn = named !== undefined && named.next.away < TOO_CLOSE_TO_TELL;
  return (
    <View style={styles.steps}>
      <Strong role="status">
        {form
          ? 'Draw again, if it went wrong.'
          : outline.length > 0
            ? 'That enclosed no leaf. Draw once round it.'
            : 'Draw round the leaf, from where the stalk joins.'}
      </Strong>
      <PhotoBoard
        photo={photo}
        marks={outline.length > 1 ? [{ points: outline, name: 'Outline', tone: 'thing', closed: true }] : []}
        onMove={() => undefined}
        onStroke={setOutline}
      />
      {form && named ? (
        <>
          <Body>
            {form.ratio.toFixed(1)} times as long as wide, broadest at {Math.round(form.broadest * 100)} % of
            its length; base {Math.round(form.baseAngle)}°, tip {Math.round(form.tipAngle)}°.
          </Body>
          <Body>
            <Strong>That is: {label(named.term)}.</Strong>
            {torn
              ? ` The next is so close that it could be either: ${label(named.next.term)}.`
              : ` Next would be: ${label(named.next.term)}, ${Math.round(named.next.away * 100)} % away.`}
          </Body>
          <Button
            label={torn ? 'Record both' : 'Record it'}
            onPress={() =>
              onAnswer({
                kind: 'states',
                states: (torn ? [named.term, named.next.term] : [named.term]) as StateId[],
              })
            }
          />
        </>
      ) : null}
      <Small soft>The photo stays on this device.</Small>
    </View>
  );
}

const styles = StyleSheet.create({ steps: { gap: space.m } });
