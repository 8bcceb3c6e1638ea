export { Pack } from './schema';
export { layPack, parsePack, type Held, type Laid } from './lay';
