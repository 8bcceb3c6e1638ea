/** The part of the queue that puts down what became of a job; the package's own types leave it out. */
declare module 'pg-boss/src/manager.js' {
  type PutDown = (this: Manager, ...given: unknown[]) => Promise<unknown>;
  class Manager {
    complete: PutDown;
    fail: PutDown;
  }
  export default Manager;
}
