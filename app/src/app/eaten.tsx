export { EatenScreen as default } from '../features/emergency/EatenScreen';
