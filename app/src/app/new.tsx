export { NewFindScreen as default } from '../features/new-find/NewFindScreen';
