import { readTemperatures } from '@estribo/core/exchange';
import { wornDays } from '@estribo/core/wearing';
import type { WornAnswer, WornRequest } from './read-worn';

// off the page's thread: a year at a minute is half a million lines
addEventListener('message', ({ data: { text, zone, rule } }: MessageEvent<WornRequest>) => {
  const tell = (answer: WornAnswer) => postMessage(answer);
  const read = readTemperatures(text, (share) => tell({ share }));
  tell(read.ok ? { days: wornDays(read.series, zone, rule, Date.now()) } : { problem: read.problem });
});
