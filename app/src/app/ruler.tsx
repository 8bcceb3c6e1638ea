export { RulerScreen as default } from '../features/look/RulerScreen';
