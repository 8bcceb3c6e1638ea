import { lateScreen } from '../features/latePart';

// Fetched as one program with the other screens of its kind.
export default lateScreen(() => import('../features/people').then((m) => m.MailboxScreen));
