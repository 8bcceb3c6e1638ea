export { Pack } from './schema';
export { applyPack, parsePack, type Held, type AppliedPack } from './lay';
