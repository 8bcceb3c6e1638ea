import type { FileRemark } from '@pause/core/formats/files';
import { t } from '../../text/en/places';

/** What of a file was left out or simplified, in words. */
export function remarkWords(remark: FileRemark): string {
  switch (remark.code) {
    case 'thinned-out':
      return t.linesThinnedOut(remark.count, remark.most);
    case 'no-place':
      return t.featuresWithoutAPlace(remark.count);
    case 'not-drawn':
      return t.featuresNotDrawn(remark.count);
  }
}
