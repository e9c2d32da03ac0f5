import { nothingRead, type BodyReadings } from './body-readings';
import { bodyOf } from './body';
import { buildOf } from './build';
import { ellipsePerimeter } from './ellipse';
import { landmarkLevel, landmarks } from './landmark';
import { crossing, cutTo, inside, outlineOf, signedArea, windowOf } from './outline';
import { regionNames, regions } from './region';
import { arcAngle, curveFromInclinations, kyphosisIndex } from './spine-curve';

const sideOf = (region: keyof typeof regions) =>
  regions[region] === 'pair' ? ('right' as const) : ('midline' as const);
const draw = (region: keyof typeof regions, readings: Partial<BodyReadings> = {}, stature = 1700) =>
  bodyOf(region, sideOf(region), { ...nothingRead, ...readings }, buildOf(stature, 30)).views;

const level = (region: keyof typeof regions, landmark: (typeof landmarks)[number]) =>
  landmarkLevel(region, landmark, buildOf(1700));

describe.each(regionNames)('%s', (region) => {
  test('is drawn in at least two views of finite points', () => {
    const views = draw(region);
    expect(views.length).toBeGreaterThanOrEqual(2);
    for (const { skin, lines } of views) {
      expect(skin.length).toBeGreaterThan(40);
      for (const point of [...skin, ...lines.flat()]) expect(point.every(Number.isFinite)).toBe(true);
      expect(Math.abs(signedArea(skin))).toBeGreaterThan(1000);
    }
  });

  test('each of its landmarks is seen in some view, on or inside the outline’s height', () => {
    for (const landmark of landmarks) {
      if (level(region, landmark) === undefined) continue;
      const places = draw(region).flatMap(({ place }) => place(landmark) ?? []);
      expect([landmark, places.length > 0]).toEqual([landmark, true]);
    }
  });

  test('a small grown body is drawn smaller in proportion', () => {
    const [adult, child] = [draw(region), draw(region, {}, 1020)];
    expect(signedArea(child[0]!.skin) / signedArea(adult[0]!.skin)).toBeCloseTo(0.36, 2);
  });
});

test.each([
  ['trunk', 'waist', 1000],
  ['trunk', 'hips-greatest-girth', 1100],
  ['shoulder', 'upper-arm-greatest-girth', 380],
  ['neck', 'neck-middle', 440],
] as const)('%s: a larger girth at the %s moves the outline there', (region, from, girth) => {
  const widthOf = (readings: Partial<BodyReadings>) => {
    const [low, high] = draw(region, readings)[0]!.edges(level(region, from)!)!;
    return high - low;
  };
  expect(widthOf({ girths: [{ from, distance: 0, girth }] })).toBeGreaterThan(widthOf({}) * 1.05);
});

test('a wide heel, a long foot and a long neck are drawn so', () => {
  const heelLevel = level('ankle', 'heel')!;
  const heel = (width?: number) => {
    const widths =
      width === undefined ? [] : [{ at: 'heel' as const, across: 'mediolateral' as const, width }];
    const back = draw('ankle', { widths }).find(({ id }) => id === 'back')!;
    const [low, high] = back.edges(heelLevel)!;
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

test('the neck’s section, its width by its depth taken as an ellipse, is as long round as it was read', () => {
  const [front, side] = draw('neck', { girths: [{ from: 'neck-middle', distance: 0, girth: 366 }] });
  const at = level('neck', 'neck-middle')!;
  const span = ({ edges }: NonNullable<typeof front>) => {
    const [low, high] = edges(at)!;
    return high - low;
  };
  expect(ellipsePerimeter(span(front!) / 2, span(side!) / 2)).toBeCloseTo(366, -1);
});

// sides are true: a right shoulder from the front lies to the viewer's left, from the back to the right
test('a right and a left shoulder lie on their own sides in both views', () => {
  const centre = (side: 'left' | 'right', view: number) => {
    const shoulder = bodyOf('shoulder', side, nothingRead, buildOf(1700)).views[view]!;
    const [x] = shoulder.place('upper-arm-greatest-girth')!;
    const xs = shoulder.skin.map(([at]) => at);
    return Math.sign(x - (Math.min(...xs) + Math.max(...xs)) / 2);
  };
  expect([centre('right', 0), centre('right', 1)]).toEqual([-1, 1]);
  expect([centre('left', 0), centre('left', 1)]).toEqual([1, -1]);
});

test('the toes of a right foot seen from outside point to the right, of a left one to the left', () => {
  const toes = (side: 'left' | 'right') => {
    const { skin } = bodyOf('ankle', side, nothingRead, buildOf(1700)).views[1]!;
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

describe('an outline from parts', () => {
  const box = (x: number, y: number, w: number, h: number) =>
    windowOf({ left: x, right: x + w, low: y, high: y + h });
  test('parts in either direction make one line; its area is theirs less the rounded corners', () => {
    // two boxes of 100 by 100 that share a quarter: 17 500, and corners of radius 5 rounded off
    const parts = [box(0, 0, 100, 100), box(50, 50, 100, 100).reverse()];
    const outline = outlineOf(parts, 7, 5);
    const corners = 6 * (1 - Math.PI / 4) * 25 - 2 * (1 - Math.PI / 4) * 49;
    expect(signedArea(outline)).toBeCloseTo(17500 - corners, -1);
  });

  test('cut by a window it says what is skin and what is a break', () => {
    const { skin, contours, cuts } = cutTo(outlineOf([box(0, 0, 100, 100)], 5, 5), windowOf({ high: 60 }));
    expect(contours).toHaveLength(1);
    expect(cuts).toHaveLength(1);
    expect([cuts[0]![0]!, cuts[0]!.at(-1)!].map(([x, y]) => [Math.round(x), y])).toEqual([
      [100, 60],
      [0, 60],
    ]);
    // the break swings as far up as down
    expect(signedArea(skin)).toBeCloseTo(6000, -2);
  });

  test('an outline that no window cuts is one contour, closed', () => {
    const { contours, cuts } = cutTo(outlineOf([box(0, 0, 100, 100)], 5, 5), windowOf({}));
    expect(cuts).toEqual([]);
    expect(contours[0]!.at(-1)).toEqual(contours[0]![0]);
  });

  test('lines are drawn inside the skin alone', () => {
    const lines = inside(
      [
        [
          [-50, 50],
          [150, 50],
        ],
      ],
      box(0, 0, 100, 100),
    );
    expect(lines).toHaveLength(1);
    expect(lines[0]!.map(([x]) => Math.round(x)).sort((a, b) => a - b)).toEqual([2, 98]);
  });
});
