import { TEACHER } from '../../tasks/teacher';
import { canBeDone } from './kit';

jest.setTimeout(240_000);
canBeDone(TEACHER);
