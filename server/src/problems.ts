import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { ERROR_STATUS, type ApiErrorCode, type Problem } from '@sounding/contract/errors.ts';

/** An expected failure with a code the client knows and a sentence for people. */
export class ApiError extends Error {
  constructor(
    readonly code: ApiErrorCode,
    detail: string,
    readonly faults: { pointer: string; detail: string }[] = [],
  ) {
    super(detail);
  }
}

const TITLES: Record<ApiErrorCode, string> = {
  'invalid-request': 'Some of what was sent cannot be taken',
  'not-signed-in': 'Please sign in',
  'not-allowed': 'This is for the coordinator',
  'not-found': 'There is no such thing here',
  conflict: 'Somebody else has changed this',
  'too-large': 'That is too much at once',
  'database-unavailable': 'The record cannot be reached just now; nothing you typed is lost',
  'internal-error': 'Something went wrong on our side',
};

/** Connection faults of node-postgres and PostgreSQL's own classes 08 and 57. */
function isDatabaseDown(error: unknown): boolean {
  const seen = [error, (error as { cause?: unknown } | null)?.cause] as { code?: unknown; message?: unknown }[];
  return seen.some((e) => {
    const code = typeof e?.code === 'string' ? e.code : '';
    const message = typeof e?.message === 'string' ? e.message : '';
    return (
      /^(08|57P)/.test(code) ||
      ['ECONNREFUSED', 'ECONNRESET', 'EPIPE'].includes(code) ||
      /connection terminated|timeout exceeded when trying to connect|Connection ended/i.test(message)
    );
  });
}

export function toProblem(error: unknown): Problem & { code: ApiErrorCode } {
  let code: ApiErrorCode = 'internal-error';
  let detail: string | undefined;
  let errors: Problem['errors'];
  if (error instanceof ApiError) {
    code = error.code;
    detail = error.message;
    if (error.faults.length > 0) errors = error.faults;
  } else if (error instanceof z.ZodError) {
    code = 'invalid-request';
    errors = error.issues.map((issue) => ({ pointer: `#/${issue.path.map(String).join('/')}`, detail: issue.message }));
    detail = errors.map((e) => `${e.pointer.slice(2) || 'body'}: ${e.detail}`).join('; ');
  } else if (isDatabaseDown(error)) code = 'database-unavailable';
  else if ((error as { type?: string })?.type === 'entity.parse.failed') {
    code = 'invalid-request';
    detail = 'The body is not JSON.';
  } else if ((error as { type?: string })?.type === 'entity.too.large') code = 'too-large';
  return {
    code,
    type: `urn:sounding:${code}`,
    title: TITLES[code],
    status: ERROR_STATUS[code],
    ...(detail ? { detail } : {}),
    ...(errors ? { errors } : {}),
  };
}

/** The last handler: every failure leaves as application/problem+json; causes go to the log only. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const { code, ...body } = toProblem(error);
    if (code === 'internal-error') log.error({ err: error, path: req.path }, 'request failed');
    else if (code === 'database-unavailable') log.warn({ path: req.path }, 'database unavailable');
    res.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  };
}
