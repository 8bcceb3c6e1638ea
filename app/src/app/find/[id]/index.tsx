export { FindScreen as default } from '../../../screens/finds/FindScreen';
