export { BesideScreen as default } from '../../../screens/check/beside/BesideScreen';
