export { NewFindScreen as default } from '../screens/finds/NewFindScreen';
