export { recheckTold } from './finds';
export { recheckHarvests } from './harvests';
export { type Progress, recheckAll } from './all';
export { markMoved, markNotebook, recheckMoved } from './moved';
export { type RecallTold, type RecallsTold, recallsFor } from './list';
