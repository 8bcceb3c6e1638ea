export { RulerScreen as default } from '../screens/settings/RulerScreen';
