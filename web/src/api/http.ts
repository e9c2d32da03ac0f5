/** What the server said about a request it did not take: a problem body. */
export interface ProblemBody {
  title: string;
  status: number;
  detail: string;
  faults?: { at: string; message: string }[];
  inForce?: unknown;
  yours?: unknown;
}

/** The server answered, and not as hoped. */
export class RefusedError extends Error {
  constructor(readonly problem: ProblemBody) {
    super(problem.detail);
  }
}

/** No answer came: the server or the network is away. */
export class AwayError extends Error {}

/**
 * Calls the server.
 * @throws RefusedError with the problem's body, AwayError when nobody answers or the server is out of order
 */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      credentials: 'same-origin',
    });
  } catch {
    throw new AwayError();
  }
  if (response.status >= 500) throw new AwayError();
  const answer: unknown = response.status === 204 ? undefined : await response.json().catch(() => undefined);
  if (response.ok) return answer as T;
  const problem = answer as ProblemBody | undefined;
  throw new RefusedError(
    problem?.detail ? problem : { title: 'Refused', status: response.status, detail: response.statusText },
  );
}
