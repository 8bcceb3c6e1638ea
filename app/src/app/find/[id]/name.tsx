export { NamingScreen as default } from '../../../screens/check/naming/NamingScreen';
