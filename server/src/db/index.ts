export {
  connect,
  isMigrated,
  migrate,
  NewerDatabase,
  POOL_SIZE,
  poolOf,
  SERVING,
  type ConnectOptions,
  type Db,
} from './connect';
export { applicationRole } from './role';
export { APPEND_ONLY, type Database } from './schema';
