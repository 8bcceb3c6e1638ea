import { type Rig, startRig } from '../../rig';

export let rig: Rig;

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    rig = await startRig();
  });

  afterAll(async () => {
    await rig.close();
  });
}
