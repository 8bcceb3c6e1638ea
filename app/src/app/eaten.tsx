export { EatenScreen as default } from '../screens/emergency/EatenScreen';
