export { StartScreen as default } from '../screens/start/StartScreen';
