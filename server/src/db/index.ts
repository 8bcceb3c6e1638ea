export { connect, migrate, poolOf, type Db } from './connect';
export { APPEND_ONLY, type Database } from './schema';
