export { EatersScreen } from './EatersScreen';
export { PlacesScreen } from './PlacesScreen';
export { PlaceScreen } from './PlaceScreen';
export { WalkScreen } from './WalkScreen';
export { WeekScreen } from './WeekScreen';
export { Warned } from './Warned';
export { TakeScreen } from '../take/TakeScreen';
export { atPlace } from './contextAt';
