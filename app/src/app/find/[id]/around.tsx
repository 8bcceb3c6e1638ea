export { AroundScreen as default } from '../../../features/check/AroundScreen';
