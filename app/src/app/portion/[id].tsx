import { lateScreen } from '../../components/lateScreen';

// Fetched as one program with the other screens of its kind.
export default lateScreen(() => import('../../screens/later').then((m) => m.PortionPage));
