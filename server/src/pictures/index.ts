export { type Received, mustView, received, picture } from './show';
export { receive } from './receive';
export { forget, sweep } from './sweep';

export { openObjects, type Objects, type ObjectSettings } from './objects';
