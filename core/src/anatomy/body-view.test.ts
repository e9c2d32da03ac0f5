import { bodyViews, nothingRead, type BodyReadings } from './body-view';
import { landmarkLevel, landmarks } from './landmark';
import { crossing } from './outline';
import { regionNames, regions } from './region';
import { arcAngle, curveFromInclinations, kyphosisIndex } from './spine-curve';

const sideOf = (region: keyof typeof regions) =>
  regions[region] === 'pair' ? ('right' as const) : ('midline' as const);
const draw = (region: keyof typeof regions, readings: Partial<BodyReadings> = {}, stature = 1700) =>
  bodyViews(region, sideOf(region), { ...nothingRead, ...readings }, stature);

/** Signed area of a closed outline, shoelace formula. */
const area = (skin: readonly (readonly [number, number])[]) =>
  skin.reduce((sum, [x1, y1], i) => {
    const [x2, y2] = skin[(i + 1) % skin.length]!;
    return sum + (x1 * y2 - x2 * y1) / 2;
  }, 0);

describe.each(regionNames)('%s', (region) => {
  test('is drawn in at least two views of finite points', () => {
    const views = draw(region);
    expect(views.length).toBeGreaterThanOrEqual(2);
    for (const { skin, lines } of views) {
      expect(skin.length).toBeGreaterThan(40);
      for (const point of [...skin, ...lines.flat()]) expect(point.every(Number.isFinite)).toBe(true);
      expect(Math.abs(area(skin))).toBeGreaterThan(1000);
    }
  });

  test('each of its landmarks is seen in some view, on or inside the outline’s height', () => {
    for (const landmark of landmarks) {
      const level = landmarkLevel(region, landmark, 1700);
      if (level === undefined) continue;
      const places = draw(region).flatMap(({ place }) => place(landmark) ?? []);
      expect([landmark, places.length > 0]).toEqual([landmark, true]);
    }
  });

  test('a child is drawn smaller in proportion', () => {
    const [adult, child] = [draw(region), draw(region, {}, 1020)];
    expect(Math.abs(area(child[0]!.skin)) / Math.abs(area(adult[0]!.skin))).toBeCloseTo(0.36, 2);
  });
});

test.each([
  ['trunk', 'waist', 1000],
  ['trunk', 'hips-greatest-girth', 1100],
  ['shoulder', 'upper-arm-greatest-girth', 380],
  ['neck', 'neck-middle', 440],
] as const)('%s: a larger girth at the %s moves the outline there', (region, from, girth) => {
  const widthOf = (readings: Partial<BodyReadings>) => {
    const [low, high] = draw(region, readings)[0]!.edges(landmarkLevel(region, from, 1700)!)!;
    return high - low;
  };
  expect(widthOf({ girths: [{ from, distance: 0, girth }] })).toBeGreaterThan(widthOf({}) * 1.05);
});

test('a wide heel, a long foot and a long neck are drawn so', () => {
  const heelLevel = landmarkLevel('ankle', 'heel', 1700)!;
  const heel = (width?: number) => {
    const widths =
      width === undefined ? [] : [{ at: 'heel' as const, across: 'mediolateral' as const, width }];
    const [low, high] = draw('ankle', { widths })[0]!.edges(heelLevel)!;
    return high - low;
  };
  expect(heel(80)).toBeCloseTo(80, 0);
  const foot = (footLength?: number) => {
    const xs = draw('ankle', footLength ? { footLength } : {})[1]!.skin.map(([x]) => x);
    return Math.max(...xs) - Math.min(...xs);
  };
  expect(foot(290) - foot(240)).toBeGreaterThan(35);
  const chin = (length: number) =>
    draw('neck', { lengths: [{ from: 'trapezius-top', to: 'chin-line', length }] })[1]!.place(
      'chin-line',
    )![1];
  expect(chin(110) - chin(70)).toBeCloseTo(40, 6);
});

// sides are true: a right shoulder from the front lies to the viewer's left, from the back to the right
test('a right and a left shoulder lie on their own sides in both views', () => {
  const centre = (side: 'left' | 'right', view: number) => {
    const [x] = bodyViews('shoulder', side, nothingRead, 1700)[view]!.place('upper-arm-greatest-girth')!;
    const xs = bodyViews('shoulder', side, nothingRead, 1700)[view]!.skin.map(([at]) => at);
    return Math.sign(x - (Math.min(...xs) + Math.max(...xs)) / 2);
  };
  expect([centre('right', 0), centre('right', 1)]).toEqual([-1, 1]);
  expect([centre('left', 0), centre('left', 1)]).toEqual([1, -1]);
});

test('the toes of a right foot seen from outside point to the right, of a left one to the left', () => {
  const toes = (side: 'left' | 'right') => {
    const { skin } = bodyViews('ankle', side, nothingRead, 1700)[1]!;
    return Math.sign(skin.reduce((far, [x]) => (Math.abs(x) > Math.abs(far) ? x : far), 0));
  };
  expect([toes('right'), toes('left')]).toEqual([1, -1]);
});

describe('the back from the inclinometer', () => {
  // an arc of height h on chord L subtends 4 atan(2h/L): 40 on 300 is 59.73 degrees; index 100 h/L = 13.3
  // (Milne and Lauder 1974, memory)
  test('an arc and its index', () => {
    expect(arcAngle(40, 300)).toBeCloseTo(59.73, 2);
    expect(kyphosisIndex(40, 300)).toBeCloseTo(13.33, 2);
  });

  test('inclinations that turn evenly are a circle: its chord and height come back', () => {
    // radius 300 mm, 60 degrees of arc: chord 300, height 300 (1 - cos 30)
    const length = (Math.PI / 3) * 300;
    const points = curveFromInclinations(
      [0, 0.25, 0.5, 0.75, 1].map((at) => ({ at, angle: 30 - 60 * at })),
      length,
    );
    const last = points.at(-1)!;
    expect(Math.hypot(last.x, last.y)).toBeCloseTo(300, 1);
    const height = Math.max(...points.map(({ x, y }) => Math.abs(last.x * y - last.y * x) / 300));
    expect(height).toBeCloseTo(300 * (1 - Math.cos(Math.PI / 6)), 1);
    expect(arcAngle(height, 300)).toBeCloseTo(60, 1);
  });

  test('a rounder back leans forward at C7 and stays where it is at the sacrum', () => {
    const back = (angle: number) => {
      const view = draw('trunk', {
        inclinations: [
          { at: 0, angle },
          { at: 0.5, angle: 0 },
          { at: 1, angle: 10 },
        ],
      }).find(({ id }) => id === 'side')!;
      return [view.place('c7')![0], view.place('sacrum')![0]] as const;
    };
    expect(back(50)[0]).toBeGreaterThan(back(20)[0] + 20);
    expect(back(50)[1]).toBeCloseTo(back(20)[1], 6);
  });
});

test('where an outline is crossed', () => {
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const;
  expect(crossing(square, 5)).toEqual([0, 10]);
  expect(crossing(square, 11)).toBeUndefined();
});
