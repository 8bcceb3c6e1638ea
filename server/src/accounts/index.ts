export { AUTH_BODIES, AUTH_BODY_LIMIT, AUTH_PATHS, FROM_HEADER, openAuth, PASSWORD_AT_LEAST, sharedSecret, type Auth } from './auth';
export { record, type Happening } from './audit';
export { deletePerson, exportPerson, type PersonExport } from './person';
