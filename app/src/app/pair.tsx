export { PairScreen as default } from '../screens/guide/PairScreen';
