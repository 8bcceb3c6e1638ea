import { FAMILY } from '../../tasks/family';
import { canBeDone } from './kit';

jest.setTimeout(240_000);
canBeDone(FAMILY);
