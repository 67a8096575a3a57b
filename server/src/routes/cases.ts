import { Router } from 'express';
import {
  adviceBody,
  caseListQuery,
  casePatch,
  newCase,
  newQuestion,
  questionPatch,
  readingBody,
  snapshotBody,
  statementBody,
  UNKNOWN_ANSWER,
  withdrawal,
  type ReadingBody,
} from '@sounding/contract/api.ts';
import { CARE_ONLY } from '@sounding/core/edition/care.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { WORDING } from '@sounding/core/edition/findings.ts';
import { listCases, readCase } from '../db/caseReader.ts';
import {
  addReading,
  addSnapshot,
  addStatement,
  createCase,
  createQuestion,
  patchCase,
  patchQuestion,
  saveAdvice,
  setWithdrawn,
} from '../db/caseWriter.ts';
import { deskToday } from '../db/desk.ts';
import { idParam, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

/** A reading must speak of a finding and an answer somebody has defined. */
function requireKnown(edition: Edition, reading: ReadingBody, pointer: string): void {
  if (reading.finding === WORDING) return;
  const finding = edition.findings.find((f) => f.id === reading.finding);
  const fault = !finding
    ? { pointer: `${pointer}/finding`, detail: `"${reading.finding}" is not a finding of edition ${edition.version}` }
    : reading.answer !== UNKNOWN_ANSWER && !finding.answers.some((a) => a.id === reading.answer.replace(/^not:/, ''))
      ? { pointer: `${pointer}/answer`, detail: `"${reading.answer}" is not an answer to ${finding.id}` }
      : null;
  if (fault) throw new ApiError('invalid-request', `${fault.pointer.slice(2)}: ${fault.detail}`, [fault]);
}

/** Names that contain the search, so that "rust" finds cases by their cause. */
function idsNamed(rows: readonly { id: string; name: string; also: readonly string[]; latin?: string }[], search: string): string[] {
  const needle = search.toLowerCase();
  if (needle.length < 3) return [];
  return rows
    .filter((row) => [row.id, row.name, row.latin ?? '', ...row.also].some((name) => name.toLowerCase().includes(needle)))
    .map((row) => row.id);
}

/** What the casebook calls a question that was answered from the plant's card. */
const CARE = { id: CARE_ONLY, name: 'Care', also: [] };

export function caseRoutes({ db, library, now }: Services): Router {
  const router = Router();
  const at = async (deskId: string) => ({ now: now(), today: await deskToday(db, deskId, now()), edition: (await library.edition(deskId)).version });

  router.get('/cases', async (req, res) => {
    const query = caseListQuery.parse(req.query);
    const { deskId } = whoOf(res);
    const edition = await library.edition(deskId);
    const known = { causes: idsNamed([...edition.causes, CARE], query.search), plants: idsNamed(edition.plants, query.search) };
    res.set('Cache-Control', 'no-store').json(await listCases(db, deskId, query, known));
  });
  router.post('/cases', async (req, res) => {
    const body = newCase.parse(req.body);
    const { deskId } = whoOf(res);
    await createCase(db, deskId, body, await at(deskId));
    res.status(201).json(await readCase(db, deskId, body.id));
  });
  router.get('/cases/:id', async (req, res) => {
    res.set('Cache-Control', 'no-store').json(await readCase(db, whoOf(res).deskId, idParam(req, 'id')));
  });
  router.patch('/cases/:id', async (req, res) => {
    await patchCase(db, whoOf(res), idParam(req, 'id'), casePatch.parse(req.body));
    res.status(204).end();
  });
  router.post('/cases/:id/questions', async (req, res) => {
    const { deskId } = whoOf(res);
    await createQuestion(db, deskId, idParam(req, 'id'), newQuestion.parse(req.body), await at(deskId));
    res.status(201).json(await readCase(db, deskId, idParam(req, 'id')));
  });
  router.patch('/questions/:id', async (req, res) => {
    const patch = questionPatch.parse(req.body);
    const { deskId } = whoOf(res);
    const edition = await library.edition(deskId);
    if (patch.hostId && !edition.plants.some((p) => p.id === patch.hostId))
      throw new ApiError('invalid-request', `hostId: "${patch.hostId}" is not a plant of edition ${edition.version}`, [
        { pointer: '#/hostId', detail: 'not a known plant' },
      ]);
    await patchQuestion(db, deskId, idParam(req, 'id'), patch, await deskToday(db, deskId, now()));
    res.status(204).end();
  });
  router.post('/questions/:id/readings', async (req, res) => {
    const reading = readingBody.parse(req.body);
    const { deskId } = whoOf(res);
    requireKnown(await library.edition(deskId), reading, '#');
    await addReading(db, deskId, idParam(req, 'id'), reading, now());
    res.status(204).end();
  });
  router.post('/questions/:id/statements', async (req, res) => {
    const body = statementBody.parse(req.body);
    const { deskId } = whoOf(res);
    const edition = await library.edition(deskId);
    body.readings.forEach((reading, i) => requireKnown(edition, reading, `#/readings/${i}`));
    await addStatement(db, deskId, idParam(req, 'id'), body, now());
    res.status(204).end();
  });
  router.patch('/readings/:id', async (req, res) => {
    await setWithdrawn(db, whoOf(res).deskId, idParam(req, 'id'), withdrawal.parse(req.body).withdrawn, now());
    res.status(204).end();
  });
  router.post('/questions/:id/snapshots', async (req, res) => {
    await addSnapshot(db, whoOf(res).deskId, idParam(req, 'id'), snapshotBody.parse(req.body), now());
    res.status(204).end();
  });
  router.put('/questions/:id/advice', async (req, res) => {
    await saveAdvice(db, whoOf(res), idParam(req, 'id'), adviceBody.parse(req.body), now());
    res.status(204).end();
  });
  return router;
}
