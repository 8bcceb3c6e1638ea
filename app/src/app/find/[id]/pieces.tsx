export { PiecesScreen as default } from '../../../screens/check/pieces/PiecesScreen';
