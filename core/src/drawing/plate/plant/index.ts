export { wholePlant } from './plant';
