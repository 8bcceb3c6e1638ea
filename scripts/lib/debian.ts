import { run, tail } from './run';
import { Hitch, say } from './say';

const isRoot = process.getuid?.() === 0;

/** Installs Debian packages that are missing. As anybody but root it says what to install instead. */
export async function installPackages(packages: readonly string[]): Promise<void> {
  const names = packages.join(' ');
  if (!isRoot)
    throw new Hitch(`${names} is missing; install it with "sudo apt-get install ${names}" and try again.`);
  say(`      installing Debian's ${names} …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-qq'], { env });
  const { status, output } = await run(
    'apt-get',
    ['install', '-y', '-qq', '--no-install-recommends', ...packages],
    { env },
  );
  if (status !== 0)
    throw new Hitch(`apt-get could not install ${names}; install it by hand and try again.\n${tail(output)}`);
}
