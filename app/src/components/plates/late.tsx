import { View } from 'react-native';
import { latePart } from '../latePart';
import type { TaxonSmallProps } from './TaxonSmall';

/** Small plates of the first screen, which is there before them. */
export const TaxonSmall = latePart<TaxonSmallProps>(
  () => import('./TaxonSmall').then((m) => m.TaxonSmall),
  ({ height = 56 }) => <View style={{ width: Math.round((height * 5) / 6), height }} />,
);
