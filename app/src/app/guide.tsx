export { GuideScreen as default } from '../screens/guide/GuideScreen';
