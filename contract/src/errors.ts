import { z } from 'zod';

/** Every error code the API can answer with, and its HTTP status. */
export const ERROR_STATUS = {
  'invalid-request': 400,
  'not-signed-in': 401,
  'not-allowed': 403,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  'database-unavailable': 503,
  'internal-error': 500,
} as const;
export type ApiErrorCode = keyof typeof ERROR_STATUS;

/** Problem details for HTTP APIs, RFC 9457, with the faults named field by field. */
export const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  errors: z.array(z.object({ pointer: z.string(), detail: z.string() })).optional(),
});
export type Problem = z.infer<typeof problem>;
