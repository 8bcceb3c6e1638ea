export { CardScreen as default } from '../features/guide/CardScreen';
