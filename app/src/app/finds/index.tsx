export { FindsScreen as default } from '../../screens/finds/FindsScreen';
