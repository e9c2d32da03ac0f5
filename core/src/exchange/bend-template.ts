import type { PDFFont, PDFPage } from 'pdf-lib';

/** A line of a template, mm: x away from the limb, y along the straight-edge from the held place, proximal positive. */
export interface TemplateLine {
  points: readonly (readonly [x: number, y: number])[];
  look: 'bar' | 'contour' | 'liner' | 'now';
}

/** What a bar is laid on at the bench, at its own size. */
export interface BendTemplate {
  /** what it is of, line by line */
  title: readonly string[];
  lines: readonly TemplateLine[];
  /** places of bends on the bar, each with its mark and what is done there */
  marks: readonly { at: readonly [x: number, y: number]; label: string; said: string }[];
  /** the held place, named */
  held: string;
  /** under the line that has to measure 100 mm on paper */
  check: string;
}

const mm = 72 / 25.4;
/** mm: a sheet of A4, its margin, what two sheets share */
const sheet = { width: 210, height: 297, margin: 12, shared: 10 };
/** mm of the check line */
export const checkLength = 100;
const titleHeight = 30;
const looks = {
  bar: { width: 0.9, dash: [] as number[], grey: 0.1 },
  contour: { width: 0.4, dash: [] as number[], grey: 0.35 },
  liner: { width: 0.3, dash: [1, 1.4], grey: 0.35 },
  now: { width: 0.5, dash: [4, 2], grey: 0.6 },
};

/** The template's extent and where its origin lies on the drawing, mm from the upper left corner. */
function laidOut({ lines, marks }: BendTemplate) {
  const all = [...lines.flatMap(({ points }) => points), ...marks.map(({ at }) => at), [0, 0] as const];
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const [low, high] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
  // said beside each mark; and the check line has to fit
  const width = Math.max(right - left + 78, checkLength + 40);
  return {
    width: Math.min(width, sheet.width - 2 * sheet.margin),
    height: high - low + titleHeight + 16,
    at: ([x, y]: readonly [number, number]): readonly [number, number] => [
      x - left + 8,
      high - y + titleHeight,
    ],
  };
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);
const told = (value: number): string => String(Math.round(value * 1000) / 1000);

/** The template as SVG at 1:1: one unit is a millimetre, and the sheet says so by its size. */
export function bendTemplateSvg(template: BendTemplate): string {
  const { width, height, at } = laidOut(template);
  const path = (points: TemplateLine['points']) =>
    points.map((point, i) => `${i === 0 ? 'M' : 'L'}${at(point).map(told).join(' ')}`).join('');
  const [heldX, heldY] = at([0, 0]);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${told(width)}mm" height="${told(height)}mm" viewBox="0 0 ${told(width)} ${told(height)}" font-family="sans-serif" font-size="3.4">`,
    ...template.title.map((line, i) => `<text x="8" y="${told(6 + i * 4.6)}">${escaped(line)}</text>`),
    `<path id="check-line" d="M8 24H${8 + checkLength}" fill="none" stroke="#000" stroke-width="0.3"/>`,
    `<path d="M8 22v4M${8 + checkLength} 22v4" stroke="#000" stroke-width="0.3"/>`,
    `<text x="${10 + checkLength}" y="25">${escaped(template.check)}</text>`,
    ...template.lines.map(({ points, look }) => {
      const { width: weight, dash, grey } = looks[look];
      const tone = Math.round(grey * 255);
      return `<path class="${look}" d="${path(points)}" fill="none" stroke="rgb(${tone},${tone},${tone})" stroke-width="${weight}"${dash.length > 0 ? ` stroke-dasharray="${dash.join(' ')}"` : ''}/>`;
    }),
    `<circle cx="${told(heldX)}" cy="${told(heldY)}" r="3" fill="none" stroke="#000" stroke-width="0.4"/>`,
    `<text x="${told(heldX + 5)}" y="${told(heldY + 1)}">${escaped(template.held)}</text>`,
    ...template.marks.map(({ at: place, label, said }) => {
      const [x, y] = at(place);
      return `<path d="M${told(x - 4)} ${told(y)}h8" stroke="#000" stroke-width="0.4"/><text x="${told(x + 6)}" y="${told(y + 1.1)}"><tspan font-weight="bold">${escaped(label)}</tspan> ${escaped(said)}</text>`;
    }),
    '</svg>',
  ].join('\n');
}

/** A font says only what it has letters for. */
const sayable = (font: PDFFont, text: string): string => {
  const has = new Set(font.getCharacterSet());
  return [...text].map((letter) => (has.has(letter.codePointAt(0)!) ? letter : '?')).join('');
};

/**
 * The template as PDF at 1:1 on sheets of A4: one that is longer than a sheet goes on on the next, with crosses that two sheets
 * share. Each sheet has its check line.
 */
export async function bendTemplatePdf(template: BendTemplate): Promise<Uint8Array> {
  // fetched when it is wanted: a template is printed seldom
  const { LineCapStyle, PDFDocument, StandardFonts, rgb } = await import('pdf-lib');
  const { height, at } = laidOut(template);
  const pdf = await PDFDocument.create();
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const room = sheet.height - 2 * sheet.margin;
  const count = height <= room ? 1 : 1 + Math.ceil((height - room) / (room - sheet.shared));
  for (let number = 0; number < count; number += 1) {
    const page = pdf.addPage([sheet.width * mm, sheet.height * mm]);
    const from = number * (room - sheet.shared);
    const onPage = (y: number) => y >= from - 1e-9 && y <= from + room + 1e-9;
    const place = (x: number, y: number) => ({
      x: (sheet.margin + x) * mm,
      y: (sheet.height - sheet.margin - (y - from)) * mm,
    });
    drawLines(page, template, at, onPage, place, {
      lineCap: LineCapStyle.Round,
      grey: (tone) => rgb(tone, tone, tone),
    });
    const text = (said: string, x: number, y: number, strong = false) =>
      page.drawText(sayable(strong ? bold : font, said), {
        ...place(x, y),
        size: 9,
        font: strong ? bold : font,
      });
    const line = (x0: number, y0: number, x1: number, y1: number, weight = 0.3) =>
      page.drawLine({
        start: place(x0, y0),
        end: place(x1, y1),
        thickness: weight * mm,
        color: rgb(0, 0, 0),
      });
    if (number === 0) template.title.forEach((said, i) => text(said, 8, 6 + i * 4.6));
    // each sheet is checked: a printer that scales scales each
    const checkAt = number === 0 ? 24 : from + room - 2;
    line(8, checkAt, 8 + checkLength, checkAt);
    text(template.check, 10 + checkLength, checkAt + 1);
    const [heldX, heldY] = at([0, 0]);
    if (onPage(heldY)) {
      page.drawCircle({
        ...place(heldX, heldY),
        size: 3 * mm,
        borderWidth: 0.4 * mm,
        borderColor: rgb(0, 0, 0),
      });
      text(template.held, heldX + 5, heldY + 1);
    }
    for (const { at: mark, label, said } of template.marks) {
      const [x, y] = at(mark);
      if (!onPage(y)) continue;
      line(x - 4, y, x + 4, y, 0.4);
      text(label, x + 6, y + 1, true);
      text(said, x + 11, y + 1);
    }
    // what two sheets share: laid over each other, the crosses meet
    for (const shared of [from, from + room - sheet.shared])
      if ((shared > 0 || number > 0) && shared < height - sheet.shared && count > 1)
        for (const x of [2, sheet.width - 2 * sheet.margin - 2]) {
          if (shared === 0) continue;
          line(x - 2, shared + sheet.shared / 2, x + 2, shared + sheet.shared / 2);
          line(x, shared + sheet.shared / 2 - 2, x, shared + sheet.shared / 2 + 2);
        }
    if (count > 1) text(`${number + 1}/${count}`, sheet.width - 2 * sheet.margin - 10, from + room - 2);
  }
  return pdf.save();
}

type DrawnAs = Parameters<PDFPage['drawLine']>[0];
interface Pen {
  lineCap: NonNullable<DrawnAs['lineCap']>;
  grey: (tone: number) => NonNullable<DrawnAs['color']>;
}

function drawLines(
  page: PDFPage,
  { lines }: BendTemplate,
  at: (point: readonly [number, number]) => readonly [number, number],
  onPage: (y: number) => boolean,
  place: (x: number, y: number) => { x: number; y: number },
  pen: Pen,
): void {
  for (const { points, look } of lines) {
    const { width, dash, grey } = looks[look];
    const placed = points.map(at);
    for (const [i, [x, y]] of placed.entries()) {
      const before = placed[i - 1];
      if (!before || (!onPage(y) && !onPage(before[1]))) continue;
      page.drawLine({
        start: place(...before),
        end: place(x, y),
        thickness: width * mm,
        color: pen.grey(grey),
        lineCap: pen.lineCap,
        ...(dash.length > 0 ? { dashArray: dash.map((one) => one * mm) } : {}),
      });
    }
  }
}
