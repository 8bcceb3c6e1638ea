export { LookScreen as default } from '../screens/settings/LookScreen';
