import { chromium, type Page } from '@playwright/test';
import { launchOptions } from './chromium.ts';

/** What only a real browser on the demo can tell: what the edition weighs, from key to screen, from a new day to the season's report, and the memory of the tab. */
const ANSWERS = 30;
const DAYS = 12;

function report(what: string, times: number[], wanted: string): void {
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))]!.toFixed(1);
  process.stdout.write(`${what}: median ${at(0.5)} ms, nine in ten within ${at(0.9)} ms, worst ${at(1)} ms (wanted: ${wanted})\n`);
}

/** Milliseconds from an answer's key to the next question painted. */
async function keyToScreen(page: Page): Promise<number[]> {
  await page.getByRole('button', { name: /New call/ }).click();
  await page.getByLabel('Caller').fill('Stop Watch');
  await page.getByRole('button', { name: 'Take the call' }).click();
  const entry = page.getByLabel('What the caller says');
  await entry.pressSequentially('the leaves of my rose are yellow');
  await entry.press('Enter');
  const dock = page.getByRole('region', { name: 'Ask' });
  const openly = dock.getByText(/asks for particulars/);
  await dock.waitFor();
  const times: number[] = [];
  for (let i = 0; i < ANSWERS; i++) {
    await page.waitForTimeout(150);
    // who is told "not known" often enough is asked openly; particulars can be had all the same
    if (await openly.isVisible()) {
      await page.keyboard.press('ArrowDown');
      await openly.waitFor({ state: 'hidden' });
    }
    times.push(
      await page.evaluate(
        () =>
          new Promise<number>((done) => {
            const dock = document.querySelector('[aria-label="Ask"]')!;
            const start = performance.now();
            const observer = new MutationObserver(() => {
              observer.disconnect();
              requestAnimationFrame(() => done(performance.now() - start));
            });
            observer.observe(dock, { subtree: true, childList: true, characterData: true });
            document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key: '0', code: 'Digit0', bubbles: true }));
          }),
      ),
    );
  }
  return times;
}

/** Milliseconds from a station's new day, all of it in the browser, to the report of that day painted. */
async function dayToScreen(page: Page, base: string): Promise<number[]> {
  await page.goto(`${base}/season`);
  await page.getByRole('heading', { name: 'Disease weather' }).waitFor();
  const times: number[] = [];
  for (let i = 0; i < DAYS; i++) {
    await page.evaluate(() => {
      const table = [...document.querySelectorAll('h2')].find((h) => h.textContent === 'Disease weather')!.parentElement!;
      const before = table.querySelector('th.day')?.textContent;
      const observer = new MutationObserver(() => {
        if (table.querySelector('th.day')?.textContent === before) return;
        observer.disconnect();
        requestAnimationFrame(() => Object.assign(window, { painted: performance.now() }));
      });
      performance.clearResourceTimings();
      Object.assign(window, { painted: null });
      observer.observe(table, { subtree: true, childList: true, characterData: true });
    });
    const day = page.getByLabel('demo day');
    const today = await day.inputValue();
    await day.fill(new Date(Date.parse(today) + 86_400_000).toISOString().slice(0, 10));
    await day.press('Enter');
    await page.waitForFunction(() => (window as unknown as { painted: number | null }).painted !== null);
    times.push(
      await page.evaluate(() => {
        const { painted } = window as unknown as { painted: number };
        const arrived = (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
          .filter(({ name, responseEnd }) => name.includes('/stations/') && responseEnd < painted)
          .map(({ responseEnd }) => responseEnd);
        return painted - Math.max(...arrived);
      }),
    );
  }
  return times;
}

/** Megabytes of JavaScript in the page and in its workers, after a collection; workers answer through their page's session. */
async function megabytes(page: Page): Promise<{ page: number; workers: number }> {
  const session = await page.context().newCDPSession(page);
  const workers: string[] = [];
  const answers: number[] = [];
  session.on('Target.attachedToTarget', ({ sessionId, targetInfo }) => void (targetInfo.type === 'worker' && workers.push(sessionId)));
  session.on('Target.receivedMessageFromTarget', ({ message }) => {
    const { id, result } = JSON.parse(message) as { id: number; result?: { usedSize?: number } };
    if (id === 2) answers.push(result?.usedSize ?? NaN);
  });
  await session.send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: false });
  await page.waitForTimeout(300);
  for (const sessionId of workers) {
    await session.send('Target.sendMessageToTarget', { sessionId, message: JSON.stringify({ id: 1, method: 'HeapProfiler.collectGarbage' }) });
    await session.send('Target.sendMessageToTarget', { sessionId, message: JSON.stringify({ id: 2, method: 'Runtime.getHeapUsage' }) });
  }
  await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  await page.waitForTimeout(2000);
  if (workers.length === 0 || answers.length < workers.length) throw new Error(`${answers.length} of ${workers.length} workers answered`);
  return { page: usedSize / 1e6, workers: answers.reduce((sum, bytes) => sum + bytes, 0) / 1e6 };
}

/** Milliseconds the desk waited for each answer while its coordinator saved an entry, and how long the saving took. */
async function askedWhileSaving({ request }: Page, base: string): Promise<{ times: number[]; saving: number }> {
  const entry = `${base}/api/library/entries/causes/pear-rust`;
  const { people } = (await (await request.get(`${base}/api/session`)).json()) as { people: { id: string; role: string }[] };
  await request.put(`${base}/api/session/seat`, { data: { personId: people.find(({ role }) => role === 'coordinator')!.id } });
  const { text } = (await (await request.get(entry)).json()) as { text: string };
  const times: number[] = [];
  const began = performance.now();
  let saving: number | null = null;
  const saved = request
    .put(entry, { data: { text: text.replace(/^worth: .*$/m, 'worth: Our desk leaves it alone.'), note: 'timed' } })
    .then((answer) => {
      if (!answer.ok()) throw new Error(`the entry was not saved: ${answer.status()}`);
      saving = performance.now() - began;
    });
  while (saving === null) {
    const start = performance.now();
    const answer = await request.get(`${base}/api/cases`);
    if (!answer.ok()) throw new Error(`the desk was not answered: ${answer.status()}`);
    times.push(performance.now() - start);
  }
  await saved;
  return { times, saving };
}

const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const base = process.env['SOUNDING_URL'] ?? '';
await page.goto(base);
report(`key to screen over ${ANSWERS} answers`, await keyToScreen(page), '50 ms');
const edition = await page.evaluate(() =>
  (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
    .filter(({ name }) => name.includes('/editions/'))
    .map(({ encodedBodySize }) => encodedBodySize),
);
process.stdout.write(`edition over the wire: ${edition.map((bytes) => (bytes / 1000).toFixed(0)).join(', ')} kB (wanted: under 400 kB)\n`);
report(`a new day at a station to its report on the screen, ${DAYS} days`, await dayToScreen(page, base), '100 ms');
const memory = await megabytes(page);
process.stdout.write(`memory of the tab: page ${memory.page.toFixed(0)} MB, workers ${memory.workers.toFixed(0)} MB (wanted: under 150 MB)\n`);
const asked = await askedWhileSaving(page, base);
report(`the desk's list of cases while its coordinator saves an entry (${(asked.saving / 1000).toFixed(1)} s)`, asked.times, '200 ms');
await browser.close();
