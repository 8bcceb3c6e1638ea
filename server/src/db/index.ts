export { connect, migrate, type Db } from './connect';
export { APPEND_ONLY, type Database } from './schema';
