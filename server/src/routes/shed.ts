import { Router, type Response } from 'express';
import { z } from 'zod';
import { labelImport, labelWrite, ruleWrite, type LabelImportView, type ShedView } from '@sounding/contract/labels.ts';
import type { JurisdictionRule, Label } from '@sounding/core/treatment/label.ts';
import { recordHistoryOf, standingRecord, standingRecords, writeRecords } from '../db/deskRecords.ts';
import { requireCoordinator, whoOf, type Services } from '../http.ts';
import { readLabels, writeLabels } from '../labels/labelFiles.ts';
import { ApiError } from '../problems.ts';

/** The shed: the desk's own products by their labels, and what the law of its place forbids. Everybody reads, the coordinator writes. */
export function shedRoutes({ db, now }: Services): Router {
  const router = Router();
  const coordinatorOnly = (res: Response) => requireCoordinator(db, res, 'Only the coordinator writes labels and rules.');
  const sameId = (path: string | undefined, id: string): void => {
    if (path !== id)
      throw new ApiError('invalid-request', `id: the address says "${path}", the record "${id}"`, [{ pointer: '#/id', detail: 'differs' }]);
  };
  const labelsOf = async (deskId: string) => standingRecords<Label>(db, deskId, 'label');

  router.get('/shed', async (_req, res) => {
    const { deskId } = whoOf(res);
    const jurisdiction = await standingRecord<{ name: string }>(db, deskId, 'jurisdiction');
    const view: ShedView = {
      jurisdiction: jurisdiction?.body.name ?? '',
      labels: (await labelsOf(deskId)).map(({ body, revision, at, by }) => ({ label: body, revision, at, by })),
      rules: (await standingRecords<JurisdictionRule>(db, deskId, 'rule')).map(({ body, revision, at, by }) => ({ rule: body, revision, at, by })),
    };
    res.set('Cache-Control', 'no-store').json(view);
  });
  router.put('/shed/jurisdiction', async (req, res) => {
    const body = z.strictObject({ name: z.string().trim().min(1).max(120) }).parse(req.body);
    await coordinatorOnly(res);
    await writeRecords(db, whoOf(res), [{ kind: 'jurisdiction', recordId: 'jurisdiction', body, note: '' }], now());
    res.status(204).end();
  });
  router.put('/shed/labels/:id', async (req, res) => {
    const { label, note } = labelWrite.parse(req.body);
    sameId(req.params['id'], label.id);
    await coordinatorOnly(res);
    await writeRecords(db, whoOf(res), [{ kind: 'label', recordId: label.id, body: label, note }], now());
    res.status(204).end();
  });
  router.put('/shed/rules/:id', async (req, res) => {
    const { rule, note } = ruleWrite.parse(req.body);
    sameId(req.params['id'], rule.id);
    await coordinatorOnly(res);
    await writeRecords(db, whoOf(res), [{ kind: 'rule', recordId: rule.id, body: rule, note }], now());
    res.status(204).end();
  });
  for (const [path, kind] of [
    ['labels', 'label'],
    ['rules', 'rule'],
  ] as const) {
    router.get(`/shed/${path}/:id/history`, async (req, res) => {
      res.set('Cache-Control', 'no-store').json(await recordHistoryOf(db, whoOf(res).deskId, kind, req.params.id));
    });
    router.delete(`/shed/${path}/:id`, async (req, res) => {
      await coordinatorOnly(res);
      await recordHistoryOf(db, whoOf(res).deskId, kind, req.params.id);
      await writeRecords(db, whoOf(res), [{ kind, recordId: req.params.id, body: null, note: 'taken away' }], now());
      res.status(204).end();
    });
  }
  router.get('/shed/export.:format', async (req, res) => {
    const format = req.params['format'];
    if (format !== 'csv' && format !== 'json') throw new ApiError('not-found', 'Labels can be had as csv or json.');
    const labels = (await labelsOf(whoOf(res).deskId)).map(({ body }) => body);
    res
      .type(format === 'json' ? 'application/json' : 'text/csv')
      .set('Content-Disposition', `attachment; filename="labels.${format}"`)
      .send(writeLabels(labels, format));
  });
  router.post('/shed/import', async (req, res) => {
    const { text, format, apply } = labelImport.parse(req.body);
    await coordinatorOnly(res);
    const { labels, faults } = readLabels(text, format);
    const standing = new Map((await labelsOf(whoOf(res).deskId)).map(({ recordId, body }) => [recordId, JSON.stringify(body)]));
    const what = (label: Label) => {
      const known = standing.get(label.id);
      // stored as jsonb, so the order of keys is not the file's
      return known === undefined ? ('new' as const) : sameContent(JSON.parse(known), label) ? ('same' as const) : ('changed' as const);
    };
    const found = labels.map((label) => ({ label, what: what(label) }));
    const applied = apply && faults.length === 0;
    if (applied)
      await writeRecords(
        db,
        whoOf(res),
        found
          .filter((f) => f.what !== 'same')
          .map(({ label }) => ({ kind: 'label' as const, recordId: label.id, body: label, note: 'brought in from a file' })),
        now(),
      );
    const view: LabelImportView = { applied, labels: found.map(({ label, what: w }) => ({ id: label.id, name: label.name, what: w })), faults };
    res.json(view);
  });
  return router;
}

function sameContent(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [keysA, keysB] = [Object.keys(a), Object.keys(b)];
  return keysA.length === keysB.length && keysA.every((key) => sameContent((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]));
}
