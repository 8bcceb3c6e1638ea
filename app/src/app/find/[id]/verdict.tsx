export { VerdictScreen as default } from '../../../screens/check/verdict/VerdictScreen';
