import { MUSHROOMS } from '../../tasks/mushrooms';
import { canBeDone } from './kit';

jest.setTimeout(240_000);
canBeDone(MUSHROOMS);
