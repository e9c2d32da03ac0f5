import { QueryClient } from '@tanstack/react-query';
import { UnansweredError } from './http';

/** What the server was asked, kept for a while. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof UnansweredError && count < 2,
      staleTime: 10_000,
    },
  },
});

/**
 * Asks again for everything under a key. What is being asked for the first time is given up and asked anew: its answer may be
 * of before what was written meanwhile, and an invalidation alone would wait for that answer and take it.
 */
export async function askAnew(queryKey: readonly unknown[], client = queries): Promise<void> {
  await client.cancelQueries({ queryKey, predicate: ({ state }) => state.data === undefined });
  await client.invalidateQueries({ queryKey });
}
