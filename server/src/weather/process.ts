import { fork } from 'node:child_process';

export interface WeatherProcess {
  url: string;
  stop: () => void;
}

const START_MS = 10_000;

/**
 * Starts the simulated weather service as a process of its own and waits for its address. When it dies later the application goes on with
 * what it has and says how old that is.
 * @param file the built service
 * @throws Error when it does not come up
 */
export function startWeatherService(file: string): Promise<WeatherProcess> {
  return new Promise((resolve, reject) => {
    const child = fork(file, { stdio: ['ignore', 'pipe', 'inherit', 'ipc'] });
    const timer = setTimeout(() => reject(new Error('the simulated weather service does not start')), START_MS);
    child.once('error', reject);
    child.stdout?.on('data', (chunk: Buffer) => {
      const url = /http:\/\/\S+/.exec(chunk.toString())?.[0];
      if (!url) return;
      clearTimeout(timer);
      resolve({ url, stop: () => void child.kill('SIGTERM') });
    });
  });
}
