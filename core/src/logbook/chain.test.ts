import { createHash } from 'node:crypto';
import { brokenLink, chainHash, chainStart, saltedHash } from './chain';
import type { AnyEntry } from './entry';

// SHA-256 over the canonical text (RFC 8785), by Node's own implementation
const sha = (text: string) => createHash('sha256').update(text).digest('hex');
const entry = { id: 'e', kind: 'wear.taught', body: { who: 'patient' } } as unknown as AnyEntry;
const canonical = '{"body":{"who":"patient"},"id":"e","kind":"wear.taught"}';

test('a chain begins with nothing before it', () => expect(chainStart).toBe('0'.repeat(64)));

test('an entry is hashed with its salt, a link over the one before it', () => {
  expect(saltedHash(entry, 'salt')).toBe(sha(`["salt",${canonical}]`));
  expect(chainHash('a', 'b')).toBe(sha('["a","b"]'));
});

test('the first link that does not fit is found, wherever it stands', () => {
  const salted = ['one', 'two', 'three'];
  const links = salted.reduce<{ salted: string; hash: string }[]>(
    (made, of) => [...made, { salted: of, hash: chainHash(made.at(-1)?.hash ?? chainStart, of) }],
    [],
  );
  expect(brokenLink([])).toBeUndefined();
  expect(brokenLink(links)).toBeUndefined();
  for (const [at, link] of links.entries())
    expect(brokenLink(links.with(at, { ...link, salted: 'changed' }))).toBe(at);
  expect(brokenLink([links[0]!, links[2]!])).toBe(1);
  expect(brokenLink(links.slice(1))).toBe(0);
});
