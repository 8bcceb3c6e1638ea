export { PairScreen as default } from '../features/guide/PairScreen';
