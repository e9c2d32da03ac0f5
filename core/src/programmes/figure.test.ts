import {
  bodyOf,
  buildOf,
  nothingRead,
  regionNames,
  regions,
  type Body,
  type BodyReadings,
  type Point,
} from '../anatomy';
import { drawFigure, type DrawnFigure, type Frame } from '../drawing';
import type { MeasuringStep } from '../measuring';
import { programmes } from './all';
import type { Programme } from './programme';

/** A programme's steps, a distance that a model gives put at one. */
const stepsOf = (programme: Programme): MeasuringStep[] =>
  programme.measuring.map((step) =>
    step.kind === 'girth' && step.distance === 'model' ? { ...step, distance: 60 } : (step as MeasuringStep),
  );
const sideOf = ({ region }: Programme) =>
  regions[region] === 'pair' ? ('left' as const) : ('midline' as const);

const readingOf = (step: MeasuringStep, by: number, body: Body): BodyReadings | undefined => {
  const level = (landmark: Parameters<Body['level']>[0]) => body.level(landmark)!;
  switch (step.kind) {
    case 'girth':
      return {
        ...nothingRead,
        girths: [{ from: step.from, distance: step.distance, girth: by * usual(step) }],
      };
    case 'distance':
    case 'curve':
    case 'height': {
      // along the sole of a foot two places differ in no level
      const length =
        by * (step.to === 'ball-of-foot' ? usual(step) : Math.abs(level(step.from) - level(step.to)));
      return { ...nothingRead, lengths: [{ from: step.from, to: step.to, length }] };
    }
    case 'width':
      return { ...nothingRead, widths: [{ at: step.at, across: step.across, width: by * usual(step) }] };
    case 'shoe':
      return { ...nothingRead, footLength: 258 * by };
    case 'inclination':
      return {
        ...nothingRead,
        inclinations: [0, 0.25, 0.5, 0.75, 1].map((at) => ({ at, angle: at === step.at ? 20 * by : 10 })),
      };
    default:
      return undefined;
  }
};
const usual = (step: MeasuringStep) => {
  if (!('plausible' in step)) return 0;
  return step.ofStature ? step.ofStature * 1700 : (step.plausible[0] + step.plausible[1]) / 3;
};

const ofPrograms = programmes.map((programme) => [programme.id, programme] as const);

// whatever the figure takes as a reading moves it
test.each(regionNames)('%s: every reading that the figure is drawn from moves its outline', (region) => {
  const ours = programmes.filter((programme) => programme.region === region);
  // steps that read the same thing in several families are looked at once
  const steps = new Map(ours.flatMap(stepsOf).map((step) => [JSON.stringify(placesOf(step)), step]));
  const side = sideOf(ours[0]!);
  const build = buildOf(1700);
  const plain = bodyOf(region, side, nothingRead, build);
  for (const step of steps.values()) {
    const readings = [0.92, 1.12].map((by) => readingOf(step, by, plain));
    if (!readings[0] || !readings[1]) continue;
    const [small, large] = readings.map((read) => bodyOf(region, side, read!, build));
    expect([step.id, furthest(small!, large!) > 1]).toEqual([step.id, true]);
    expect([step.id, small!.held, large!.held]).toEqual([step.id, [], []]);
  }
});
/** How far apart the edges of two drawings are where they are furthest apart. */
const furthest = (a: Body, b: Body): number => {
  const levels = Array.from({ length: 90 }, (_, i) => -900 + i * 20);
  return Math.max(
    ...a.views.flatMap((view, i) =>
      levels.map((level) => {
        const [one, other] = [view.edges(level), b.views[i]!.edges(level)];
        return one && other ? Math.max(Math.abs(one[0] - other[0]), Math.abs(one[1] - other[1])) : 0;
      }),
    ),
  );
};
const placesOf = (step: MeasuringStep) =>
  Object.entries(step).filter(([field]) =>
    ['kind', 'from', 'to', 'at', 'across', 'distance'].includes(field),
  );

/** Whether a piece of a line comes within a box, by walking along it: another way than the solver's. */
const walks = (a: Point, b: Point, box: { left: number; right: number; top: number; bottom: number }) => {
  if (Math.max(a[0], b[0]) < box.left || Math.min(a[0], b[0]) > box.right) return false;
  if (Math.max(a[1], b[1]) < box.top || Math.min(a[1], b[1]) > box.bottom) return false;
  const count = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) * 2));
  return Array.from({ length: count + 1 }, (_, i) => i / count).some((t) => {
    const [x, y] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
    return x > box.left && x < box.right && y > box.top && y < box.bottom;
  });
};

function faultsOf(drawn: DrawnFigure, frame: Frame): string[] {
  const lines: (readonly Point[])[] = [
    ...drawn.views.flatMap(({ view, project }) =>
      [...view.contours, ...view.cuts, ...view.lines, ...view.hidden].map((line) => line.map(project)),
    ),
    ...drawn.steps.flatMap(({ shapes }) => shapes.map(({ points }) => points)),
    ...drawn.labels.flatMap(({ leader }) => (leader ? [leader] : [])),
  ];
  return drawn.labels.flatMap(({ id, text, box, leader }, i) => {
    const own = leader ? lines.filter((line) => line !== leader) : lines;
    return [
      ...(box.left < 0 || box.top < 0 || box.right > frame.width || box.bottom > frame.height
        ? [`${id} "${text}" leaves the picture`]
        : []),
      ...(own.some((line) => line.slice(1).some((to, j) => walks(line[j]!, to, box)))
        ? [`${id} "${text}" lies over a line`]
        : []),
      ...drawn.labels
        .slice(i + 1)
        .filter(
          ({ box: other }) =>
            other.left < box.right &&
            other.right > box.left &&
            other.top < box.bottom &&
            other.bottom > box.top,
        )
        .map((other) => `${id} "${text}" lies over ${other.id}`),
    ];
  });
}

// the figure's place at 1280x800, on a tablet, on a phone and at 400 % zoom
const frames: Frame[] = [
  { width: 484, height: 618 },
  { width: 770, height: 520 },
  { width: 358, height: 420 },
  { width: 288, height: 380 },
];

describe.each(ofPrograms)('%s', (_, programme) => {
  test('no label lies over a line, a landmark, another label or leaves the picture, whatever is asked for', () => {
    const side = sideOf(programme);
    const steps = stepsOf(programme);
    const faults: string[] = [];
    for (const build of [buildOf(1700), buildOf(1030, 4)]) {
      const body = bodyOf(programme.region, side, nothingRead, build);
      for (const now of steps)
        for (const frame of build.stature === 1700 ? frames : frames.slice(0, 1))
          for (const turned of body.views.length > 2 ? [false, true] : [false]) {
            const drawn = drawFigure({
              body,
              frame,
              turned,
              above: body.views.length > 2 ? 26 : 0,
              steps: steps.map((step) => ({
                step,
                state: step.id === now.id ? 'now' : 'done',
                label: step.kind === 'inclination' ? '−14°' : '1,234 mm',
              })),
              words: {
                landmark: (landmark) => landmark.replaceAll('-', ' '),
                view: (id) => (id === 'outer' ? 'outer side' : id),
                held: 'drawn no further',
              },
            });
            faults.push(
              ...faultsOf(drawn, frame).map(
                (fault) =>
                  `${now.id}, ${frame.width}x${frame.height}, ${build.stature}${turned ? ', turned' : ''}: ${fault}`,
              ),
            );
          }
    }
    expect(faults.slice(0, 12)).toEqual([]);
  });
});
