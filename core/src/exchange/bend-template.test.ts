import { spawnSync } from 'node:child_process';
import { svgPathProperties } from 'svg-path-properties';
import { bendTemplatePdf, bendTemplateSvg, checkLength, type BendTemplate } from './bend-template';

/** A bar of 365 mm with two bends: longer than a sheet. */
const template: BendTemplate = {
  title: ['Lateral upright', 'Caneiro 4P'],
  lines: [
    {
      look: 'bar',
      points: [
        [0, -180],
        [0, 70],
        [8, 185],
      ],
    },
    {
      look: 'contour',
      points: [
        [-6, -180],
        [-4, 185],
      ],
    },
  ],
  marks: [{ at: [0, 70], label: 'A', said: '4° away' }],
  held: 'hinge',
  check: '100 mm',
};
const barLength = 250 + Math.hypot(8, 115);

// read back by svg-path-properties (registry)
test('the SVG is a millimetre a unit: its sheet, its check line and its bar measure what they are', () => {
  const svg = bendTemplateSvg(template);
  const [, width, height, box] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="([^"]+)"/.exec(svg)!;
  expect(box).toBe(`0 0 ${width} ${height}`);
  const lengthOf = (mark: string) =>
    new svgPathProperties(new RegExp(`${mark}" d="([^"]+)"`).exec(svg)![1]!).getTotalLength();
  expect(lengthOf('id="check-line')).toBeCloseTo(checkLength, 6);
  expect(lengthOf('class="bar')).toBeCloseTo(barLength, 2);
});

test('what stands in names is text and no markup', () => {
  const svg = bendTemplateSvg({ ...template, title: ['<script>"&'] });
  expect(svg).toContain('&lt;script&gt;&quot;&amp;');
});

interface ReadPage {
  size: number[];
  lines: { x0: number; y0: number; x1: number; y1: number; length: number }[];
  text: string[];
}

/** An independent reader (pdfjs-dist, registry), in a process of its own: it ships as ES modules that wait at their top. */
const reader = `
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const document = await getDocument({ data: new Uint8Array(Buffer.concat(chunks)), verbosity: 0 }).promise;
const mm = 25.4 / 72;
const pages = [];
for (let i = 1; i <= document.numPages; i += 1) {
  const page = await document.getPage(i);
  const { fnArray, argsArray } = await page.getOperatorList();
  const lines = fnArray.flatMap((fn, at) => {
    if (fn !== OPS.constructPath) return [];
    const [ops, numbers] = argsArray[at];
    // one line: the pen is set down, perhaps twice, and drawn once
    if (ops.at(-1) !== OPS.lineTo || ops.slice(0, -1).some((op) => op !== OPS.moveTo)) return [];
    const [x0, y0, x1, y1] = Array.from(numbers.slice(-4), (one) => one * mm);
    return [{ x0, y0, x1, y1, length: Math.hypot(x1 - x0, y1 - y0) }];
  });
  const { items } = await page.getTextContent();
  pages.push({ size: page.view.slice(2).map((one) => one * mm), lines, text: items.map(({ str }) => str) });
}
console.log(JSON.stringify(pages));
`;

/** What a PDF shows, in mm from each page's lower left corner. */
function pagesOf(pdf: Uint8Array): ReadPage[] {
  const read = spawnSync(process.execPath, ['--input-type=module', '-e', reader], {
    input: pdf,
    cwd: __dirname,
  });
  return JSON.parse(read.stdout.toString()) as ReadPage[];
}

test('the PDF is 1:1 on A4: each sheet has its check line, the bar goes on from sheet to sheet', async () => {
  const pages = pagesOf(await bendTemplatePdf(template));
  expect(pages).toHaveLength(2);
  for (const { size, lines } of pages) {
    expect(size[0]).toBeCloseTo(210, 1);
    expect(size[1]).toBeCloseTo(297, 1);
    expect(
      lines.some(({ length, y0, y1 }) => Math.abs(length - checkLength) < 0.01 && Math.abs(y0 - y1) < 1e-3),
    ).toBe(true);
  }
  // the straight piece of 250 mm and the bent one, whole, wherever the sheets part
  const all = pages.flatMap(({ lines }) => lines);
  expect(all.some(({ length }) => Math.abs(length - 250) < 0.01)).toBe(true);
  expect(all.some(({ length }) => Math.abs(length - Math.hypot(8, 115)) < 0.01)).toBe(true);
  // two crosses on each sheet that meet when they are laid over each other: the same place of the drawing
  const crosses = pages.map(({ lines }) =>
    lines.filter(({ length, x0, x1 }) => Math.abs(length - 4) < 0.01 && Math.abs(x0 - x1) < 1e-3),
  );
  expect(crosses.map((one) => one.length)).toEqual([2, 2]);
  const shift = crosses[1]![0]!.y0 - crosses[0]![0]!.y0;
  const straight = pages.map(({ lines }) => lines.find(({ length }) => Math.abs(length - 250) < 0.01)!);
  expect(straight[1]!.y0 - straight[0]!.y0).toBeCloseTo(shift, 3);
  expect(pages[0]!.text.join(' ')).toContain('100 mm');
});

test('a short one is one sheet; letters that the font has not are no reason to fail', async () => {
  const short = {
    ...template,
    title: ['María Ñandú 骨'],
    lines: [{ look: 'bar' as const, points: [[0, -60] as const, [0, 60] as const] }],
    marks: [],
  };
  const pages = pagesOf(await bendTemplatePdf(short));
  expect(pages).toHaveLength(1);
  expect(pages[0]!.text.join(' ')).toContain('María Ñandú ?');
});
