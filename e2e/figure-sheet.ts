import {
  bodyOf,
  buildOf,
  nothingRead,
  regionNames,
  regions,
  type BodyReadings,
  type Build,
  type Point,
  type Region,
} from '@estribo/core/anatomy';

/** The bodies of the sheet: grown, a child of four, one of about 250 kg; their readings are invented. */
const bodies: readonly {
  name: string;
  build: Build;
  read: Partial<Record<Region, Partial<BodyReadings>>>;
}[] = [
  { name: 'adult', build: buildOf(1700, 40), read: {} },
  { name: 'child of four', build: buildOf(1030, 4), read: {} },
  {
    name: 'heavy',
    build: buildOf(1750, 40),
    read: {
      leg: {
        girths: [
          { from: 'mid-kneecap', distance: 150, girth: 800 },
          { from: 'mid-kneecap', distance: -150, girth: 540 },
        ],
      },
      ankle: {
        girths: [{ from: 'malleoli', distance: 0, girth: 330 }],
        widths: [{ at: 'heel', across: 'mediolateral', width: 78 }],
      },
      trunk: {
        girths: [
          { from: 'chest', distance: 0, girth: 1400 },
          { from: 'waist', distance: 0, girth: 1600 },
          { from: 'hips-greatest-girth', distance: 0, girth: 1600 },
        ],
      },
      neck: {
        girths: [
          { from: 'neck-middle', distance: 0, girth: 520 },
          { from: 'chest', distance: 0, girth: 1400 },
        ],
      },
      shoulder: {
        girths: [
          { from: 'upper-arm-greatest-girth', distance: 0, girth: 500 },
          { from: 'chest', distance: 0, girth: 1400 },
        ],
      },
    },
  },
];

const [rowHeight, gap] = [330, 18];

/** Every region of every body in all its views, on one sheet, as an SVG. */
export function figureSheet(): string {
  const drawn: string[] = [];
  let [wide, y] = [0, 0];
  for (const region of regionNames) {
    let x = 20;
    for (const { name, build, read } of bodies) {
      const side = regions[region] === 'pair' ? 'right' : 'midline';
      const { views } = bodyOf(region, side, { ...nothingRead, ...read[region] }, build);
      const ys = views.flatMap(({ skin }) => skin.map(([, at]) => at));
      const [low, high] = [Math.min(...ys), Math.max(...ys)];
      const scale = rowHeight / (high - low);
      drawn.push(`<text x="${x}" y="${y + 20}">${region}, ${name}</text>`);
      for (const { skin, contours, cuts, lines, hidden } of views) {
        const xs = skin.map(([at]) => at);
        const left = Math.min(...xs);
        const path = (points: readonly Point[]) =>
          points
            .map(
              ([px, py], i) =>
                `${i === 0 ? 'M' : 'L'}${(x + (px - left) * scale).toFixed(1)} ${(y + 34 + (high - py) * scale).toFixed(1)}`,
            )
            .join('');
        const all = (some: readonly (readonly Point[])[], style: string) =>
          `<path d="${some.map(path).join('')}" ${style}/>`;
        drawn.push(
          `<path d="${path(skin)}Z" fill="#EAD9C5"/>`,
          all(lines, 'fill="none" stroke="#C4A98D" stroke-width="1.1"'),
          all(hidden, 'fill="none" stroke="#5A4636" stroke-width="0.9" stroke-dasharray="5 3"'),
          all(cuts, 'fill="none" stroke="#5A4636" stroke-width="1.1"'),
          all(contours, 'fill="none" stroke="#5A4636" stroke-width="1.9"'),
        );
        x += (Math.max(...xs) - left) * scale + gap;
      }
      x += gap;
    }
    wide = Math.max(wide, x);
    y += rowHeight + 60;
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide.toFixed(0)} ${y}" width="1600" font-family="sans-serif" font-size="15" fill="#22201C">${drawn.join('')}</svg>`;
}
