export {
  AUTH_BODIES,
  AUTH_BODY_LIMIT,
  AUTH_PATHS,
  CONFIRM,
  FROM_HEADER,
  hasPassword,
  LETTER_PATHS,
  openAuth,
  PASSWORD_AT_LEAST,
  passwordFits,
  sessionOf,
  sharedSecret,
  type Auth,
} from './auth';
export { record, type Happening } from './audit';
export { deletePerson, exportPerson, type PersonExport } from './person';
export { isSoonGuessed } from './passwords';
export { endSession, sessionsOf, type Session } from './sessions';
