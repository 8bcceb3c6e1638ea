export { NamingScreen as default } from '../../../features/naming/NamingScreen';
