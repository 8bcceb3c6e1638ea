/** Does a task, together with those of others that came meanwhile. */
export type Combined<Task, Done> = (task: Task) => Promise<Done>;

interface CombinedOptions<Task, Done> {
  /** So many at once, at most. */
  readonly most: number;
  readonly goTogether: (one: Task, other: Task) => boolean;
  /**
   * @returns what became of each; nothing for one that has to be done alone. What it throws concerns all of
   * them: then each is done alone.
   */
  readonly together: (tasks: readonly Task[]) => Promise<readonly (Done | undefined)[]>;
  readonly alone: (task: Task) => Promise<Done>;
}

interface Waiting<Task, Done> {
  readonly task: Task;
  readonly done: (done: Done | Promise<Done>) => void;
}

/**
 * Whoever comes first is served at once; what comes while that goes on waits, and is then done together. The
 * busier it is, the more one round does, and nobody waits while there is nothing to do.
 */
export function openCombined<Task, Done>({
  most,
  goTogether,
  together,
  alone,
}: CombinedOptions<Task, Done>): Combined<Task, Done> {
  let waiting: Waiting<Task, Done>[] = [];
  let busy = false;
  const nextRound = (): Waiting<Task, Done>[] => {
    const [first] = waiting;
    if (!first) return [];
    const round = waiting
      .filter(({ task }) => task === first.task || goTogether(first.task, task))
      .slice(0, most);
    waiting = waiting.filter((one) => !round.includes(one));
    return round;
  };
  const serve = async (): Promise<void> => {
    busy = true;
    for (let round = nextRound(); round.length > 0; round = nextRound()) {
      const came = await together(round.map(({ task }) => task)).catch(() => [] as readonly undefined[]);
      for (const [index, { task, done }] of round.entries()) {
        const mine = came[index];
        done(mine === undefined ? alone(task) : mine);
      }
    }
    busy = false;
  };
  return (task) =>
    new Promise<Done>((resolve) => {
      waiting.push({ task, done: resolve });
      if (!busy) void serve();
    });
}
