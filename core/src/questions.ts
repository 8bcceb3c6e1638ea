/** The second door of the core: what servers and command lines ask, and what no phone has to carry along. */
export { ask, ASKED, QUESTIONS, type Asked } from './ask';
export {
  identify,
  type Candidate,
  type Identification,
  type IdentifyOptions,
  type TellingCheck,
} from './identify';
export { verdictProblems } from './verdict/schema';
export { pieceCheck, type PieceCheck } from './pieces';
export { lint, separation, type LintFinding } from './lint';
export { layPack, Pack, parsePack, type Held, type Laid } from './pack';
export { recompute, recomputer, type Recomputed } from './recompute';
export { changeBetween, movedBy, type GuideChange } from './recompute/change';
