import { wrap, type Remote } from 'comlink';
import { guide, type GuideFile } from './guide';

interface GuideTaker {
  takeGuide(file: GuideFile): void;
}

/** The guide that this thread read through. */
const taken = (): GuideFile => ({ raw: guide.guide, version: guide.version });

/**
 * Asks a worker that begins when it is first asked, and is given the guide first. Without workers, or where it
 * is lost or could not do it, the same functions do it here.
 *
 * @param begin begins the worker
 */
export function workerOrHere<Api extends GuideTaker>(begin: () => Worker, here: GuideTaker) {
  let remote: Remote<Api> | undefined;
  let broken = false;
  const lose = () => {
    broken = true;
    remote = undefined;
  };
  return async <Answer>(
    away: (api: Remote<Api>) => Promise<Answer>,
    instead: () => Answer | Promise<Answer>,
  ): Promise<Answer> => {
    if (!remote && !broken && typeof Worker !== 'undefined') {
      try {
        const worker = begin();
        worker.addEventListener('error', lose);
        remote = wrap<Api>(worker);
        // Messages keep their order, so nothing is asked of the worker before it has the guide.
        (remote.takeGuide as (file: GuideFile) => Promise<void>)(taken()).catch(lose);
      } catch {
        broken = true;
      }
    }
    if (remote) {
      try {
        return await away(remote);
      } catch {
        // What it could not do is done here, or says here what is wrong.
      }
    }
    here.takeGuide(taken());
    return instead();
  };
}
