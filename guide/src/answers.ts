import answers from '../review/answers.json';

/** What somebody asked of the guide, and what came of it. */
export interface Answer {
  /** A review, or the id of a reading. */
  readonly by: string;
  readonly taxon: string;
  readonly character?: string;
  readonly states?: readonly string[];
  readonly asked: string;
  readonly taken: boolean;
  /** A reason that a botanist could argue with. */
  readonly why: string;
}

/** Every point that reviews and readings raised, taken or answered. */
export function answersOnFile(): readonly Answer[] {
  return answers;
}
