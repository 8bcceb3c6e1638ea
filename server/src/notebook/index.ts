export { push } from './push';
export { hashOf, type Pushed, type PushOptions } from './entries';
export { CHANNEL, onPersonNews, notifyPerson } from './news';
export { pull, streamEnds, type Pulled } from './pull';
export { listFinds, recordsFor, recordsOf } from './records';
export { toEntry } from './rows';
export { decideRecord } from './judge';
export { keepGuide, ping } from './guide';
