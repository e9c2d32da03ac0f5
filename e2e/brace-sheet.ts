import { stopsSettingOf } from '@estribo/core/setting';
import { bodyOf, buildOf, nothingRead, regions, type Point } from '@estribo/core/anatomy';
import { barHalf, drawFigure, roundRadius, type BraceShape } from '@estribo/core/drawing';
import { kneeStrap, programmes } from '@estribo/core/programmes';

const frame = { width: 484, height: 560 };
const caption = 30;

const path = (points: readonly Point[], closed = false) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') +
  (closed ? 'Z' : '');

function shapeOf({ kind, points }: BraceShape): string {
  const [x, y] = points[0]!;
  switch (kind) {
    case 'bar':
      return `<path d="${path(points)}" fill="none" stroke="#7A4427" stroke-width="${2 * barHalf}" stroke-linecap="round"/>`;
    case 'hinge':
    case 'dial':
      return `<circle cx="${x}" cy="${y}" r="${roundRadius}" fill="#FFFEF9" stroke="#7A4427" stroke-width="4.5"/>`;
    case 'pad':
    case 'bladder':
    case 'liner':
      return `<path d="${path(points, true)}" fill="#E3C9A4" fill-opacity="0.7" stroke="#7A4427"/>`;
    default:
      return `<path d="${path(points, true)}" fill="#7A4427" fill-opacity="0.9" stroke="#EAD9C5" stroke-dasharray="4 3"/>`;
  }
}

/** Every family that has parts, drawn on a grown body, as an SVG. */
export function braceSheet(): string {
  const drawn = programmes
    .filter(({ parts }) => parts.length > 0)
    .map((programme, i) => {
      const side = regions[programme.region] === 'pair' ? 'right' : 'midline';
      // a frame's straps are its model's own: invented ones here
      const straps = stopsSettingOf(programme)
        ? [-72, 75, 165, -140, -116, 148].map((level, n) =>
            kneeStrap(n + 1, level, n === 3 || n === 5 ? 'front' : 'back'),
          )
        : [];
      const { views, brace } = drawFigure({
        body: bodyOf(programme.region, side, nothingRead, buildOf(1700, 40)),
        frame,
        steps: [],
        parts: [...programme.parts, ...straps].map((part) => ({ part, state: 'done' })),
        words: { landmark: String, view: String, held: '' },
      });
      const [x, y] = [
        (i % 3) * (frame.width + 20) + 10,
        Math.floor(i / 3) * (frame.height + caption) + caption,
      ];
      const bodies = views.map(
        ({ view, project }) =>
          `<path d="${path(view.skin.map(project), true)}" fill="#EAD9C5"/>` +
          view.lines
            .map((line) => `<path d="${path(line.map(project))}" fill="none" stroke="#C4A98D"/>`)
            .join('') +
          view.contours
            .map(
              (line) =>
                `<path d="${path(line.map(project))}" fill="none" stroke="#5A4636" stroke-width="1.9"/>`,
            )
            .join(''),
      );
      return `<text x="${x}" y="${y - 8}">${programme.id}</text><g transform="translate(${x} ${y})">${bodies.join('')}${brace.shapes.map(shapeOf).join('')}</g>`;
    });
  const [wide, high] = [3 * (frame.width + 20), Math.ceil(drawn.length / 3) * (frame.height + caption) + 10];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide} ${high}" width="1500" font-family="sans-serif" font-size="17" fill="#22201C">${drawn.join('')}</svg>`;
}
