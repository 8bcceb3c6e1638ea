import { View } from 'react-native';
import { latePart } from '../latePart';

/** The general build of a find, as an ink drawing; the first screen does without. */
export const BodyPlanGlyph = latePart(
  () => import('./BodyPlanDrawing').then((m) => m.BodyPlanDrawing),
  ({ size }) => <View style={{ width: size, height: size }} />,
);
