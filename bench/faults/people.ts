import { SimulatedDevice } from './device';
import { HostileMember } from './hostile';
import { type World } from './world';

const ORIGIN = (url: string) => ({ 'content-type': 'application/json', origin: url });

/** A group of as many people as there are devices. */
export async function people(world: World, count: number, hostile: number, seed: number, forgetful: boolean) {
  const devices: SimulatedDevice[] = [];
  const cookies: string[] = [];
  const ids: string[] = [];
  for (let n = 0; n < count; n += 1) {
    const response = await fetch(`${world.url}/api/v1/auth/sign-up/email`, {
      method: 'POST',
      headers: ORIGIN(world.url),
      body: JSON.stringify({
        name: `Walker ${n}`,
        email: `walker${n}@ostrel.example`,
        password: 'a long enough password',
      }),
    });
    const cookie = (response.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
    if (cookie === '') throw new Error(`no session: ${response.status} ${await response.text()}`);
    cookies.push(cookie);
    ids.push(((await response.json()) as { user: { id: string } }).user.id);
    if (n < count - hostile)
      devices.push(
        new SimulatedDevice(`${seed}-${n}-${Date.now()}`, world.url, cookie, forgetful && n === 0),
      );
  }
  const cookie = cookies[0] ?? '';
  const ask = async (as: string, path: string, body: unknown) =>
    (
      await fetch(`${world.url}/api/v1${path}`, {
        method: 'POST',
        headers: { ...ORIGIN(world.url), cookie: as },
        body: JSON.stringify(body),
      })
    ).json() as Promise<{ code?: string }>;
  const group = `group-of-${seed}-walkers`;
  await ask(cookie, '/groups', { id: group, name: 'Walkers' });
  for (const other of cookies.slice(1)) {
    const { code } = await ask(cookie, `/groups/${group}/invitations`, { role: 'member', days: 1 });
    await ask(other, '/invitations/accept', { code });
  }
  const enemies = ids
    .slice(count - hostile)
    .map((id, n) => new HostileMember(world.url, cookies[count - hostile + n] ?? '', id, group));
  return { devices, group, cookie, enemies };
}
