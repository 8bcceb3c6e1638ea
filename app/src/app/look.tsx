export { LookScreen as default } from '../features/look/LookScreen';
