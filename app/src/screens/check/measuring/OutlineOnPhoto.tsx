import { useState } from 'react';
import type { ReadingValue, StateId } from '@pause/core';
import { bladeForm, outlineTerm, TOO_CLOSE_TO_TELL, type Pixel } from '@pause/core/measuring';
import { Body, Button, Small, Strong, Stack } from '../../../components';
import { PickPhoto } from '../../../components/photos/PickPhoto';
import type { Prepared } from '../../../components/photos/preparePhoto';
import { t } from '../../../text/en/measuring';
import { stateLabel, lowerFirst } from '../../../text/names';
import { PhotoBoard } from './PhotoBoard';

/**
 * The outline of a leaf drawn round it on a photo: what its measures come to, and how close the next term is.
 */
export function OutlineOnPhoto({ onAnswer }: { readonly onAnswer: (value: ReadingValue) => void }) {
  const [photo, setPhoto] = useState<Prepared>();
  const [outline, setOutline] = useState<readonly Pixel[]>([]);
  if (!photo) {
    return (
      <Stack gap="m">
        <Body soft>{t.layOneLeafFlatAnd}</Body>
        <PickPhoto label={t.takeThePhoto} onPhoto={setPhoto} />
      </Stack>
    );
  }
  const form = bladeForm(outline);
  const named = form && outlineTerm(form);
  const label = (term: string) => lowerFirst(stateLabel('leaf.outline', term));
  const isNearTwo = named !== undefined && named.next.away < TOO_CLOSE_TO_TELL;
  return (
    <Stack gap="m">
      <Strong role="status">
        {form ? t.drawAgainIfItWent : outline.length > 0 ? t.thatEnclosedNoLeafDraw : t.drawRoundTheLeafFrom}
      </Strong>
      <PhotoBoard
        photo={photo}
        marks={outline.length > 1 ? [{ points: outline, name: t.outline, tone: 'thing', closed: true }] : []}
        onMove={() => undefined}
        onStroke={setOutline}
      />
      {form && named ? (
        <>
          <Body>
            {t.timesAsLongAsWide(
              form.ratio.toFixed(1),
              Math.round(form.broadest * 100),
              Math.round(form.baseAngle),
              Math.round(form.tipAngle),
            )}
          </Body>
          <Body>
            <Strong>{t.thatIs(label(named.term))}</Strong>{' '}
            {isNearTwo
              ? t.theNextIsSoClose(label(named.next.term))
              : t.nextWouldBePercentAway(label(named.next.term), Math.round(named.next.away * 100))}
          </Body>
          <Button
            label={isNearTwo ? t.recordBoth : t.recordIt}
            onPress={() =>
              onAnswer({
                kind: 'states',
                states: (isNearTwo ? [named.term, named.next.term] : [named.term]) as StateId[],
              })
            }
          />
        </>
      ) : null}
      <Small soft>{t.thePhotoStaysOnThis}</Small>
    </Stack>
  );
}
