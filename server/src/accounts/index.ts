export { FROM_HEADER, hasPassword, openAuth, passwordFits, sessionOf, sharedSecret, type Auth } from './auth';
export { AUTH_BODIES, AUTH_BODY_LIMIT, AUTH_PATHS, CONFIRM, LETTER_PATHS, PASSWORD_AT_LEAST } from './bodies';
export { record, type Happening } from './audit';
export { deletePerson, exportPerson, type PersonExport } from './person';
export { isSoonGuessed } from './passwords';
export { endSession, sessionsOf, type Session } from './sessions';
