export { EatersScreen } from './EatersScreen';
export { PlacesScreen } from './PlacesScreen';
export { PlaceScreen } from './PlaceScreen';
export { WalkScreen } from './WalkScreen';
export { WeekScreen } from './WeekScreen';
export { Warned } from './Warned';
export { atPlace } from './contextAt';
