export { VerdictScreen as default } from '../../../features/verdict/VerdictScreen';
