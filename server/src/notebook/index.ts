export { push } from './push';
export { hashOf, type Pushed, type PushOptions } from './entries';
export {
  CHANNEL,
  listFinds,
  onPersonNews,
  pull,
  recordsFor,
  recordsOf,
  streamEnds,
  tellPerson,
  toEntry,
  type Pulled,
} from './read';
export { decideRecord } from './judge';
export { keepGuide, ping } from './guide';
