export { hashOf, push, type Pushed, type PushOptions } from './push';
export { CHANNEL, listFinds, pull, recordsFor, recordsOf, streamEnds, toEntry, type Pulled } from './read';
export { decideRecord } from './judge';
export { keepGuide, ping } from './guide';
