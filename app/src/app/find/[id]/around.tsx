export { AroundScreen as default } from '../../../screens/check/AroundScreen';
