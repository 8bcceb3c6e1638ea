export { StartScreen as default } from '../features/start/StartScreen';
