export { CheckScreen as default } from '../../../screens/check/CheckScreen';
