import { readFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';
import { decompress } from 'wawoff2';
import { ascent, characterWidths, descent, textWidth } from './font-metrics';

// the font as it ships, read by fontkit
const file =
  '../../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2';
let font: Font;
beforeAll(async () => {
  font = create(Buffer.from(await decompress(readFileSync(new URL(file, `file://${__filename}`))))) as Font;
});

test.each([400, 700] as const)('weight %d: every width is the shipped font’s', (weight) => {
  const cut = font.getVariation({ wght: weight });
  const table = characterWidths(weight);
  expect(table.size).toBeGreaterThan(200);
  for (const [one, width] of table)
    expect([one, Math.round((cut.layout(one).glyphs[0]!.advanceWidth / font.unitsPerEm) * 1000)]).toEqual([
      one,
      width,
    ]);
});

test('a line is as wide as the font lays it out, or a little wider', () => {
  for (const text of ['mid-kneecap', '150 mm', 'Sacrococcygeal junction', '−20°'])
    for (const weight of [400, 700] as const) {
      const laid = font.getVariation({ wght: weight }).layout(text).advanceWidth / font.unitsPerEm;
      expect(textWidth(text, 15, weight)).toBeGreaterThanOrEqual(laid * 15 - 0.1);
      expect(textWidth(text, 15, weight)).toBeLessThan(laid * 15 * 1.05);
    }
});

test('its height is the font’s; what it does not know is taken as wide', () => {
  expect([font.ascent, -font.descent]).toEqual([ascent, descent]);
  expect(textWidth('漢', 15)).toBe(15);
});
