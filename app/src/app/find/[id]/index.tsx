export { FindScreen as default } from '../../../features/finds/FindScreen';
