import { fork } from 'node:child_process';

export interface StandinProcess {
  /** What it said once it listened: its address, or several with commas between. */
  address: string;
  stop: () => void;
}

const START_MS = 10_000;

/**
 * Starts a simulated outside service as a process of its own and waits until it says "name: address". When it dies later the application
 * goes on with what it has and says so.
 * @param file the built service
 * @throws Error when it does not come up
 */
export function startStandin(file: string): Promise<StandinProcess> {
  return new Promise((resolve, reject) => {
    const child = fork(file, { stdio: ['ignore', 'pipe', 'inherit', 'ipc'] });
    const timer = setTimeout(() => reject(new Error(`the simulated service ${file} does not start`)), START_MS);
    child.once('error', reject);
    child.stdout?.on('data', (chunk: Buffer) => {
      const address = /: (\S+)\n/.exec(chunk.toString())?.[1];
      if (!address) return;
      clearTimeout(timer);
      resolve({ address, stop: () => void child.kill('SIGTERM') });
    });
  });
}
