/** The second door of the core: what servers and command lines ask, and what no phone has to carry along. */
export { ask, ASKED, QUESTIONS, type Asked } from './ask';
export {
  identify,
  type Candidate,
  type Identification,
  type IdentifyOptions,
  type TellingCheck,
} from '../advice/identify';
export { verdictProblems } from '../verdict/schema';
export { pieceCheck, type PieceCheck } from '../advice/pieces';
export { lint, separation, type LintFinding } from '../upkeep/lint';
export { applyPack, Pack, parsePack, type AppliedPack, type Held } from '../guide/pack';
export {
  changeBetween,
  movedBy,
  recompute,
  recomputer,
  type GuideChange,
  type Recomputed,
} from '../upkeep/recompute';
