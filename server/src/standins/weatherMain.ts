import { DEMO_STATIONS } from '../demo/lindwater.ts';
import { BEHAVIOURS, createWeatherService, type Behaviour } from './weatherService.ts';

/** The simulated weather service as a process of its own. Says its address on standard output once it listens. */
const wanted = process.env['WEATHER_BEHAVIOUR'] ?? 'ok';
const server = createWeatherService(DEMO_STATIONS, BEHAVIOURS.includes(wanted as Behaviour) ? (wanted as Behaviour) : 'ok');
server.listen(Number(process.env['WEATHER_PORT'] ?? 0), '127.0.0.1', () => {
  const address = server.address();
  process.stdout.write(`weather service: http://127.0.0.1:${typeof address === 'object' && address ? address.port : ''}\n`);
});
// the application that started it may die without a word
process.on('disconnect', () => process.exit(0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(0));
