import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { programmes } from '@estribo/core/programmes';

/** Every file that is neither a family's data, nor its words, nor a test. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory())
      return ['programmes', 'messages', 'demo', 'node_modules', 'dist'].includes(entry.name)
        ? []
        : sources(path);
    return /\.tsx?$/.test(entry.name) && !/test/.test(entry.name) ? [path] : [];
  });
}

// a family is data: no engine and no screen asks which one it is, or knows a part of it by name
test('no family, list, step or part is named in core or web outside its data and its words', () => {
  const names = programmes.flatMap(({ id, parts, sequences }) => [
    id,
    ...parts.map((part) => part.id),
    ...sequences.flatMap((list) => [list.id, ...list.steps.map((step) => step.id)]),
  ]);
  const files = [...sources('core/src'), ...sources('web/src')];
  expect(files.length).toBeGreaterThan(200);
  const found = files.flatMap((path) => {
    const text = readFileSync(path, 'utf8');
    return names
      .filter((name) => text.includes(`'${name}'`) || text.includes(`"${name}"`))
      .map((name) => `${path}: ${name}`);
  });
  expect(found).toEqual([]);
});
