import { bodyOf, buildOf, nothingRead, regions, type Body, type Region, type Side } from '../anatomy';
import { drawFigure, type DrawnFigure, type Frame, type PartToDraw } from '../drawing';
import { programmes } from './all';
import type { Programme } from './programme';

// every family that has parts, drawn on a grown body and a child, either side, at the sizes the figure has on a tablet, a
// laptop and a phone: nothing out of the picture, nothing unseen, no number over the brace or another number
const frames: Frame[] = [
  { width: 484, height: 630 },
  { width: 460, height: 520 },
  { width: 390, height: 330 },
];
const builds = { grown: buildOf(1700, 40), child: buildOf(1030, 4) };
const words = { landmark: (landmark: string) => landmark, view: (id: string) => id, held: 'held' };

// a body is the slow part of a drawing, and the same for all that is laid over it
const bodies = new Map<string, Body>();
function bodyFor(region: Region, side: Side, build: keyof typeof builds): Body {
  const key = `${region} ${side} ${build}`;
  const body = bodies.get(key) ?? bodyOf(region, side, nothingRead, builds[build]);
  bodies.set(key, body);
  return body;
}

const drawn = (programme: Programme, side: Side, build: keyof typeof builds, frame: Frame, turned = false) =>
  drawFigure({
    body: bodyFor(programme.region, side, build),
    frame,
    steps: [],
    turned,
    parts: programme.parts.map((part): PartToDraw => ({ part, state: 'ahead', numbered: true })),
    marks: programme.checks.flatMap(({ id, at }, i) =>
      at ? [{ id, kind: 'spot' as const, at, label: String(i + 1), state: 'ahead' as const }] : [],
    ),
    words,
  });

const cases = programmes
  .filter(({ parts }) => parts.length > 0)
  .flatMap((programme) =>
    (regions[programme.region] === 'pair' ? (['left', 'right'] as const) : (['midline'] as const)).flatMap(
      (side) =>
        (Object.keys(builds) as (keyof typeof builds)[]).map(
          (build) => [programme.id, side, build, programme] as const,
        ),
    ),
  );

const pointsOf = ({ brace }: DrawnFigure) => brace.shapes.flatMap(({ points }) => points);

test.each(cases)(
  '%s, %s, %s: every part is seen, all of it inside the picture',
  (_, side, build, programme) => {
    for (const frame of frames) {
      // what is hidden from one view is seen when the figure is turned
      const both = [drawn(programme, side, build, frame), drawn(programme, side, build, frame, true)];
      const seen = new Set(both.flatMap(({ brace }) => brace.shapes.map(({ id }) => id)));
      for (const { id } of programme.parts) expect([...seen]).toContain(id);
      // what is no number is in no picture either
      const outside = both
        .flatMap(pointsOf)
        .filter(([x, y]) => !(x > -3 && x < frame.width + 3 && y > -3 && y < frame.height + 3));
      expect(outside).toEqual([]);
    }
  },
);

/** Whether a point lies inside a closed outline (crossings of a ray). */
const isInside = ([x, y]: readonly [number, number], outline: readonly (readonly [number, number])[]) =>
  outline.reduce((inside, [ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !inside : inside;
  }, false);

test.each(cases)(
  '%s, %s, %s: every check has its number, and no number lies on the brace',
  (_, side, build, programme) => {
    const frame = frames[0]!;
    const both = [drawn(programme, side, build, frame), drawn(programme, side, build, frame, true)];
    const numbered = new Set(both.flatMap(({ labels }) => labels.map(({ id }) => id)));
    for (const { id, at } of programme.checks) if (at) expect([...numbered]).toContain(`badge-${id}`);
    for (const { labels, brace } of both) {
      const badges = labels.filter(({ badge }) => badge !== undefined);
      badges.forEach(({ box, id }, i) => {
        const middle = [(box.left + box.right) / 2, (box.top + box.bottom) / 2] as const;
        const under = brace.shapes.filter(
          ({ points, kind }) =>
            points.length > 4 && !['bar', 'scar'].includes(kind) && isInside(middle, points),
        );
        expect([id, under.map((shape) => shape.id)]).toEqual([id, []]);
        for (const other of badges.slice(i + 1)) {
          const apart = Math.hypot(
            middle[0] - (other.box.left + other.box.right) / 2,
            middle[1] - (other.box.top + other.box.bottom) / 2,
          );
          expect(apart).toBeGreaterThan((box.right - box.left + other.box.right - other.box.left) / 2 - 2);
        }
      });
    }
  },
);

test('a part as long as it may be, and one of no length, are drawn in no time', () => {
  const body = bodyFor('leg', 'right', 'grown');
  const parts = [
    {
      kind: 'shell',
      id: 'long',
      from: { from: 'mid-kneecap', offset: 2500 },
      to: { from: 'mid-kneecap', offset: -2500 },
      faces: ['front'],
    },
    {
      kind: 'shell',
      id: 'flat',
      from: { from: 'mid-kneecap' },
      to: { from: 'mid-kneecap' },
      faces: ['front'],
    },
  ] as const;
  const { brace } = drawFigure({
    body,
    frame: frames[0]!,
    steps: [],
    parts: parts.map((part) => ({ part: { ...part, faces: [...part.faces] }, state: 'done' })),
    words,
  });
  for (const { points } of brace.shapes) {
    expect(points.length).toBeLessThan(1000);
    for (const [x, y] of points) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
  }
});

test('what was found moves its part, and a part that is not of this body is not drawn', () => {
  const programme = programmes.find(({ id }) => id === 'knee-ligament-frame')!;
  const hinge = programme.parts.find(({ id }) => id === 'hinge-lateral')!;
  const at = (moved: PartToDraw['moved']) =>
    drawFigure({
      body: bodyOf('leg', 'right', nothingRead, builds.grown),
      frame: frames[0]!,
      steps: [],
      parts: [{ part: hinge, state: 'done', ...(moved ? { moved } : {}) }],
      words,
    }).brace.shapes.map(({ view, points }) => [view, ...points[0]!] as const);
  const [outer, front] = at(undefined);
  // seen from its face it is moved along and aside; from the front only along, at the skin's edge there
  expect(at({ along: 20 })[0]![2]).toBeLessThan(outer![2]);
  expect(at({ aside: -10 })[0]![1]).not.toBeCloseTo(outer![1], 3);
  expect(at({ aside: -10 })[1]![1]).toBeCloseTo(front![1], 6);
  const foreign = drawFigure({
    body: bodyOf('trunk', 'midline', nothingRead, builds.grown),
    frame: frames[0]!,
    steps: [],
    parts: [{ part: hinge, state: 'done' }],
    words,
  });
  expect(foreign.brace.shapes).toEqual([]);
});
