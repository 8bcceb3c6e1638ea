export { FindsScreen as default } from '../../features/finds/FindsScreen';
