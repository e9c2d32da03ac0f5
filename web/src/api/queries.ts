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
