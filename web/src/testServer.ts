import { jest } from '@jest/globals';

export interface FakeServer {
  /** "GET /api/cases" and so on, in the order they came. */
  asked: string[];
  /** Bodies of what was sent, by the same name; the newest last. */
  sent: Record<string, unknown[]>;
  stop: () => void;
}
/** What is given back, or a function of the request that works it out, in its own time. */
type Answer = object | ((request: { url: URL; body: unknown }) => unknown);

/** Thrown by an answer: the server refuses with this status and these words. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    detail: string,
  ) {
    super(detail);
  }
}

const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

/**
 * A server of a test: answers by method and path, where `*` stands for one step of the path; anything else is 404.
 * @param answers what is given back, or how it is worked out; undefined is answered with 204
 */
export function fakeServer(answers: Record<string, Answer>): FakeServer {
  const real = globalThis.fetch;
  const server: FakeServer = { asked: [], sent: {}, stop: () => void (globalThis.fetch = real) };
  const rules = Object.entries(answers).map(([name, answer]) => ({
    pattern: new RegExp(`^${name.replace(/[.+?^${}()|[\]\\]/g, '\\$&').replace(/\*/g, '[^/]+')}$`),
    answer,
  }));
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL, init?: RequestInit) => {
    const request = typeof input === 'object' && 'url' in input ? input : null;
    const url = new URL(request?.url ?? (input as string), location.href);
    const name = `${request?.method ?? init?.method ?? 'GET'} ${url.pathname}`;
    const text = request ? await request.clone().text() : typeof init?.body === 'string' ? init.body : '';
    const body: unknown = text === '' ? undefined : JSON.parse(text);
    server.asked.push(name);
    if (body !== undefined) server.sent[name] = [...(server.sent[name] ?? []), body];
    const rule = rules.find(({ pattern }) => pattern.test(name));
    if (!rule) return json({ title: 'not there', detail: `there is no ${name}` }, 404);
    try {
      const answer: unknown = typeof rule.answer === 'function' ? await (rule.answer as (asked: object) => unknown)({ url, body }) : rule.answer;
      return answer === undefined ? new Response(null, { status: 204 }) : json(answer);
    } catch (error) {
      if (error instanceof Refusal) return json({ title: 'refused', detail: error.message }, error.status);
      throw error;
    }
  });
  return server;
}

/**
 * Lets the workers' code run on the page itself: jsdom has no workers. To be called before anything that uses the engine is imported.
 * What crosses to a worker is copied, as a browser would.
 */
export function workersHere(): void {
  const exposed: Record<string, Record<string, (...args: unknown[]) => unknown>> = {};
  let loading = '';
  class HereWorker {
    readonly name: string;
    constructor(url: URL) {
      this.name = url.pathname.replace(/^.*\//, '');
    }
  }
  globalThis.Worker = HereWorker as unknown as typeof Worker;
  const load: Record<string, () => Promise<unknown>> = {
    'engine.worker.ts': () => import('./engine/engine.worker.ts'),
    'photo.worker.ts': () => import('./engine/photo.worker.ts'),
  };
  jest.unstable_mockModule('comlink', () => ({
    expose: (engine: (typeof exposed)[string]) => {
      exposed[loading] = engine;
    },
    wrap: ({ name }: HereWorker) => {
      const engine = async () => {
        if (!exposed[name]) {
          loading = name;
          await load[name]!();
        }
        return exposed[name]!;
      };
      return new Proxy(
        {},
        {
          // a promise is asked for `then`; this is none
          get: (_, method) =>
            method === 'then'
              ? undefined
              : async (...args: unknown[]) => structuredClone((await engine())[String(method)]!(...args.map((arg) => structuredClone(arg)))),
        },
      );
    },
  }));
}
