export { CardScreen as default } from '../screens/guide/CardScreen';
