/**
 * Learning the pairs: specimens that never existed, walks in the practice wood, drills, what somebody
 * confuses, and when to look at what again.
 */
export * from './specimen';
export * from './walk';
export * from './encounter';
export * from './score';
export * from './confusion';
export * from './repeat';
export * from './cards';
export * from './drill';
export * from './drillKinds';
export * from './history';
export * from './lesson';
export type {
  CardId,
  LearnerFields,
  LessonFields,
  PracticeAnswer,
  PracticeFields,
  PracticeFind,
} from '../notebook/page/practice';
