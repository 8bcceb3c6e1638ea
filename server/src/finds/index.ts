export * from './entries';
export { finds, decideRecord, keepGuide, ping, type Appended } from './append';
export { listFinds, readFind } from './record';
