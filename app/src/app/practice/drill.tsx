import { latePart } from '../../features/latePart';

// Fetched as one program with the other screens of its kind.
export default latePart(() => import('../../features/outdoors').then((m) => m.DrillScreen));
