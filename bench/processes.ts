import { readdirSync, readFileSync } from 'node:fs';

const TICKS_A_SECOND = 100;

/** Processor time that a process has used, in milliseconds (proc(5): fields 14 and 15). */
export function used(pid: number): number {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
      .replace(/^.*\) /s, '')
      .split(' ');
    return ((Number(fields[11]) + Number(fields[12])) / TICKS_A_SECOND) * 1000;
  } catch {
    return 0;
  }
}

export const memory = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
export const databasePids = () =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/comm`, 'utf8').trim() === 'postgres';
      } catch {
        return false;
      }
    });
