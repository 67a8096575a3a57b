import { describe, expect, it } from '@jest/globals';
import { z } from 'zod';
import { ERROR_STATUS } from '@sounding/contract/errors.ts';
import { ApiError, toProblem } from './problems.ts';

const zodError = z.object({ a: z.object({ b: z.number() }) }).safeParse({ a: { b: 'x' } }).error;

describe('problems (RFC 9457)', () => {
  it('carry code, status, sentence and the place of each fault', () => {
    expect(toProblem(zodError)).toMatchObject({ type: 'urn:sounding:invalid-request', status: 400, errors: [{ pointer: '#/a/b' }] });
    for (const code of Object.keys(ERROR_STATUS) as (keyof typeof ERROR_STATUS)[])
      expect(toProblem(new ApiError(code, 'why'))).toMatchObject({ status: ERROR_STATUS[code], detail: 'why' });
  });
  it.each([
    ['refused', { code: 'ECONNREFUSED' }],
    ['shut down', { code: '57P01' }],
    ['connection failure class', { code: '08006' }],
    ['wrapped by the query layer', { message: 'Failed query', cause: { code: 'ECONNRESET' } }],
    ['cut in mid-query', { message: 'Connection terminated unexpectedly' }],
  ])('know a database that is away: %s', (_name, error) =>
    expect(toProblem(error)).toMatchObject({ status: 503, title: expect.stringContaining('nothing you typed is lost') }),
  );
  it('keep the inside of an unexpected failure to themselves', () => {
    const problem = toProblem(new Error('secret path'));
    expect(problem.status).toBe(500);
    expect(JSON.stringify(problem)).not.toContain('secret');
  });
});
