import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { caseView } from '@sounding/contract/api.ts';
import { labelBody, labelImportView, recordHistory, shedView } from '@sounding/contract/labels.ts';
import { settingsView } from '@sounding/contract/settings.ts';
import type { Label } from '@sounding/core/treatment/label.ts';
import { DEMO_LABELS } from './demo/shed.ts';
import { readLabels, writeLabels } from './labels/labelFiles.ts';
import { openTestDesk, type TestDesk } from './testDesk.ts';

let desk: TestDesk;
beforeAll(async () => {
  desk = await openTestDesk('shed');
});
afterAll(() => desk.close());

const shed = async () => shedView.parse((await desk.agent.get('/api/shed')).body);
const soap = async (): Promise<Label> => (await shed()).labels.find(({ label }) => label.id === 'lakewash-soap')!.label;

describe('labels', () => {
  it('of the demo name only causes and plants the edition has', () => {
    const { causes, plants } = desk.edition;
    const kinds = new Set<string>(causes.map(({ kind }) => kind));
    const crops = new Set(plants.flatMap((plant) => [plant.id, plant.genus, plant.family, ...plant.groups]));
    for (const label of DEMO_LABELS)
      for (const use of label.uses) {
        expect(use.pests.filter((pest) => pest !== '*' && !kinds.has(pest) && !causes.some(({ id }) => id === pest))).toEqual([]);
        expect(use.crops.filter((crop) => crop !== '*' && !crops.has(crop))).toEqual([]);
      }
  });
  it('go out as CSV and JSON and come in the same', () => {
    for (const format of ['csv', 'json'] as const)
      expect(readLabels(writeLabels(DEMO_LABELS, format), format)).toEqual({ labels: DEMO_LABELS, faults: [] });
  });
  it('are written by the coordinator only, each step kept with who did it', async () => {
    const label = { ...(await soap()), validUntil: '2030-12-31' };
    await desk.seat('advisor');
    expect((await desk.agent.put('/api/shed/labels/lakewash-soap').send({ label })).status).toBe(403);
    await desk.seat('coordinator');
    expect((await desk.agent.put('/api/shed/labels/lakewash-soap').send({ label, note: 'approval prolonged' })).status).toBe(204);
    expect((await soap()).validUntil).toBe('2030-12-31');
    const history = recordHistory.parse((await desk.agent.get('/api/shed/labels/lakewash-soap/history')).body);
    expect(history.map(({ note }) => note)).toEqual(['approval prolonged', 'from the label']);
    expect(labelBody.parse(history[1]!.body).validUntil).toBe('2029-12-31');
  });
  it('are taken away without losing what they were', async () => {
    expect((await desk.agent.delete('/api/shed/labels/slugstone')).status).toBe(204);
    expect((await shed()).labels.some(({ label }) => label.id === 'slugstone')).toBe(false);
    expect(recordHistory.parse((await desk.agent.get('/api/shed/labels/slugstone/history')).body)[1]!.removed).toBe(false);
    expect((await desk.agent.delete('/api/shed/labels/nothing')).status).toBe(404);
  });
  it('with a missing rate are refused by line and field, and nothing is stored', async () => {
    const csv = writeLabels(DEMO_LABELS.slice(0, 2), 'csv').replace('20 ml,volume,1 l,,2 l', ',volume,1 l,,2 l');
    const answer = await desk.agent.post('/api/shed/import').send({ text: csv, format: 'csv', apply: true });
    const view = labelImportView.parse(answer.body);
    expect(view.applied).toBe(false);
    expect(view.faults).toEqual([{ where: 'line 4', detail: expect.stringMatching(/^uses\.0\.rate: /) }]);
  });
  it('that cut off in the middle of a file say so', () => {
    expect(readLabels('id,name\nx', 'csv').faults[0]!.detail).toContain('columns missing');
    expect(readLabels('[{"id": "x"', 'json').faults[0]!.detail).toContain('not JSON');
  });
  it('tell before they are brought in what is new and what changes', async () => {
    const own = await soap();
    const text = writeLabels([own, { ...own, id: 'second-soap', name: 'Second Soap' }, { ...DEMO_LABELS[1]!, registration: 'LW 9' }], 'json');
    const tried = labelImportView.parse((await desk.agent.post('/api/shed/import').send({ text, format: 'json' })).body);
    expect(tried).toMatchObject({ applied: false, labels: [{ what: 'same' }, { what: 'new' }, { what: 'changed' }] });
    await desk.agent.post('/api/shed/import').send({ text, format: 'json', apply: true });
    expect((await shed()).labels.some(({ label }) => label.id === 'second-soap')).toBe(true);
  });
  it('that contradict themselves are refused beside the field', async () => {
    const label = { ...(await soap()), signalWord: { scheme: 'GHS', word: 'CAUTION' }, validUntil: '2020-01-01' };
    const answer = await desk.agent.put('/api/shed/labels/lakewash-soap').send({ label });
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { pointer: string }[] }).errors.map(({ pointer }) => pointer)).toEqual([
      '#/label/signalWord',
      '#/label/validUntil',
    ]);
  });
});

describe('house lines and losses', () => {
  it('make an edition of the desk’s own and can be taken back', async () => {
    const before = (await desk.session()).edition;
    expect((await desk.agent.put('/api/settings/house-lines').send({ mildew: 1 })).status).toBe(204);
    const after = (await desk.session()).edition;
    expect(after).not.toBe(before);
    expect((await desk.standing()).houseLines).toEqual({ mildew: 1 });
    await desk.agent.put('/api/settings/house-lines').send({});
    expect((await desk.agent.put('/api/settings/house-lines').send({ mildew: 9 })).status).toBe(400);
    const settings = settingsView.parse((await desk.agent.get('/api/settings')).body);
    expect(settings).toMatchObject({ houseLines: {}, losses: null });
    expect(settings.history).toHaveLength(2);
  });
});

describe('where the desk is', () => {
  const newCase = async () => {
    const id = randomUUID();
    await desk.agent.post('/api/cases').send({ id, questionId: randomUUID(), channel: 'telephone', caller: { name: 'Far Away' } });
    return id;
  };
  const hemisphereOf = async (id: string) => caseView.parse((await desk.agent.get(`/api/cases/${id}`)).body).questions[0]!.hemisphere;

  it('is said by the coordinator, with who did it, and holds from the next question on', async () => {
    const before = await newCase();
    const place = { name: 'Southern desk', climate: 'temperate-maritime', hemisphere: 'S' };
    await desk.seat('advisor');
    expect((await desk.agent.put('/api/settings/place').send(place)).status).toBe(403);
    await desk.seat('coordinator');
    expect((await desk.agent.put('/api/settings/place').send(place)).status).toBe(204);
    expect((await desk.session()).desk).toMatchObject(place);
    const after = await newCase();
    expect([await hemisphereOf(before), await hemisphereOf(after)]).toEqual(['N', 'S']);
    expect(settingsView.parse((await desk.agent.get('/api/settings')).body).history.map(({ what }) => what)).toContain('place');
    await desk.agent.put('/api/settings/place').send({ name: 'Lindwater Garden Advice Desk', climate: 'continental', hemisphere: 'N' });
  });
  it('is refused beside the field, and nothing is changed', async () => {
    const answer = await desk.agent.put('/api/settings/place').send({ name: ' ', climate: 'lunar', hemisphere: 'N' });
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { pointer: string }[] }).errors.map(({ pointer }) => pointer)).toEqual(['#/name', '#/climate']);
    expect((await desk.session()).desk.climate).toBe('continental');
  });
});

describe('circumstances, overruling and plan of a question', () => {
  it('are kept with it', async () => {
    const [id, questionId] = [randomUUID(), randomUUID()];
    await desk.agent.post('/api/cases').send({ id, questionId, channel: 'telephone', caller: { name: 'Tilda Rook' } });
    const patch = {
      circumstances: { wish: 'no-spray', heightM: 4 },
      overrule: { option: null, why: 'she moves house' },
      plan: {
        labelId: null,
        useId: null,
        equipment: null,
        target: null,
        system: 'metric',
        wanted: 2,
        harvestEvery: null,
        rotate: false,
        applications: [],
        sums: [],
      },
    };
    expect((await desk.agent.patch(`/api/questions/${questionId}`).send(patch)).status).toBe(204);
    expect(caseView.parse((await desk.agent.get(`/api/cases/${id}`)).body).questions[0]).toMatchObject(patch);
    const wrong = await desk.agent.patch(`/api/questions/${questionId}`).send({ circumstances: { heightM: 400 } });
    expect(JSON.stringify(wrong.body)).toContain('were centimetres meant?');
  });
});
