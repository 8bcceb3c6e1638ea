export { BesideScreen as default } from '../../../features/beside/BesideScreen';
