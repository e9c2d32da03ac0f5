import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { askAnew } from './queries';

test('what was asked for the first time when something was written is asked anew: the answer of before is not taken', async () => {
  const client = new QueryClient();
  const answers: ((value: string) => void)[] = [];
  const bench = new QueryObserver(client, {
    queryKey: ['bench', ''],
    queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
  });
  const seen: (string | undefined)[] = [];
  const leave = bench.subscribe(({ data }) => seen.push(data));
  expect(answers).toHaveLength(1);
  const anew = askAnew(['bench'], client);
  await Promise.resolve();
  answers[0]!('as it was before');
  await new Promise((done) => setTimeout(done, 0));
  expect(answers).toHaveLength(2);
  answers[1]!('as it is');
  await anew;
  expect(bench.getCurrentResult().data).toBe('as it is');
  expect(seen).not.toContain('as it was before');
  expect(bench.getCurrentResult().isError).toBe(false);
  leave();
  client.clear();
});
