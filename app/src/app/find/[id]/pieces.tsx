export { PiecesScreen as default } from '../../../features/pieces/PiecesScreen';
