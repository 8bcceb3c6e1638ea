import { spawn } from 'node:child_process';

export interface Ran {
  readonly status: number;
  readonly output: string;
}

/** Runs a program to its end, never throws for its status. Output and errors come back as one text. */
export function run(
  command: string,
  args: readonly string[],
  options: { cwd?: string; env?: NodeJS.ProcessEnv; echo?: boolean } = {},
): Promise<Ran> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: options.cwd,
      env: { ...process.env, ...options.env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (chunk: Buffer) => {
      output += chunk.toString('utf8');
      if (options.echo) process.stdout.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('error', (error: NodeJS.ErrnoException) =>
      error.code === 'ENOENT' ? resolve({ status: 127, output: `${command} is not there` }) : reject(error),
    );
    child.on('close', (status) => resolve({ status: status ?? 1, output }));
  });
}

/** The last lines that a program wrote. */
export function tail(output: string, lines = 6): string {
  return output.trimEnd().split('\n').slice(-lines).join('\n');
}
