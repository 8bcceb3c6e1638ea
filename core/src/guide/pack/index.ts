export { Pack } from './schema';
export { applyPack as layPack, parsePack, type Held, type AppliedPack as Laid } from './lay';
