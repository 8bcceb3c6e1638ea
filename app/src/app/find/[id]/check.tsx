export { CheckScreen as default } from '../../../features/check/CheckScreen';
