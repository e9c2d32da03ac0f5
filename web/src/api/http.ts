import type { EntryFault } from '@estribo/core/faults';
import type { InferType, Schema } from 'yup';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** What is wrong with a field of what was sent; from an older server without its code. */
export type Fault = Pick<EntryFault, 'at' | 'message' | 'params'> & { code?: string };

/** What the server said about a request it did not take: a problem body. */
export interface ProblemBody {
  title: string;
  status: number;
  detail: string;
  /** which problem it is, and what its sentence names: what the screens say it by */
  code?: string;
  params?: Record<string, string | number>;
  faults?: Fault[];
  inForce?: unknown;
  yours?: unknown;
}

/** The server answered, and not as hoped. */
export class RefusedError extends Error {
  constructor(readonly problem: ProblemBody) {
    super(problem.detail);
  }
}

/** Nothing came of it, and it may be asked again: what follows says why. */
export class UnansweredError extends Error {}

/** No answer came: the server or the network is away. */
export class AwayError extends UnansweredError {}

/** The server asks for patience: a row is held, or its database does not answer. */
export class BusyError extends UnansweredError {}

/** The server failed on this one. */
export class FailedError extends UnansweredError {}

/**
 * Calls the server; what it answers is not known yet, and is of no use but through `ask` and `tell`.
 * @param writer whose session it must be: in anybody else's the server refuses it
 * @throws RefusedError with the problem's body, UnansweredError when nobody answers, or not now
 */
export async function call(method: Method, path: string, body?: unknown, writer?: string): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(writer === undefined ? {} : { 'Estribo-Writer': writer }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      credentials: 'same-origin',
    });
  } catch {
    throw new AwayError();
  }
  if (response.status === 503) throw new BusyError();
  // a proxy that does not reach the server
  if (response.status === 502 || response.status === 504) throw new AwayError();
  // a full disk is told in the server's own words
  if (response.status >= 500 && response.status !== 507) throw new FailedError();
  const answer: unknown = response.status === 204 ? undefined : await response.json().catch(() => undefined);
  if (response.ok) return answer;
  const problem = answer as ProblemBody | undefined;
  throw new RefusedError(
    problem?.detail ? problem : { title: 'Refused', status: response.status, detail: response.statusText },
  );
}

/**
 * Tells the server something, and takes its answer only when it is what the two have agreed on.
 * @throws as call does; FailedError when the answer is none
 */
export async function tell<S extends Schema>(
  answer: S,
  method: Method,
  path: string,
  body?: unknown,
  writer?: string,
): Promise<InferType<S>> {
  const said = await call(method, path, body, writer);
  try {
    return answer.validateSync(said, { strict: true }) as InferType<S>;
  } catch (error) {
    throw new FailedError(`${path} answered otherwise than agreed`, { cause: error });
  }
}

/** Asks the server for something: as `tell`, with nothing to tell. */
export const ask = <S extends Schema>(answer: S, path: string): Promise<InferType<S>> =>
  tell(answer, 'GET', path);
