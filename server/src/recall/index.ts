export { recheckAfterEntries } from './finds';
export { recheckHarvests } from './harvests';
export { type Progress, recheckAll } from './all';
export { markMoved, markNotebook, recheckMoved } from './moved';
export { type RecallEntry as RecallTold, type RecallList as RecallsTold, recallsFor } from './list';
