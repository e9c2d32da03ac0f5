import { bodyOf, buildOf } from '@estribo/core/anatomy';
import { ageOn } from '@estribo/core/calendar';
import { mirroredReadings, stepAt } from '@estribo/core/measuring';
import { windowOn } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import {
  bestPlace,
  centreKnownTo,
  fromCentre,
  fromJointLine,
  hingeTravel,
  readPath,
  type Hinge,
  type HingeType,
  type PathPoint,
  type Spot,
} from '@estribo/core/setting';
import {
  lazy,
  Suspense,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
} from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn } from '../figure/layer';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Fold } from '../parts/fold';
import { formatDistance, formatFine, formatNumber } from '../parts/format';
import { Row, Sheet, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { useSteady } from '../parts/use-steady';
import { Why } from '../parts/why';
import type { TravelShown } from './travel-chart';

const TravelChart = lazy(() => import('./travel-chart'));

const Cards = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  & > section {
    border-left: 4px solid ${color('river')};
  }
  & b {
    display: block;
    font-size: ${size.title};
    font-variant-numeric: tabular-nums;
  }
`;

const Pad = styled.div`
  min-height: 44px;
  padding: 8px 14px;
  border: 1px dashed ${color('edge')};
  border-radius: 4px;
  font-size: ${size.small};
  display: inline-flex;
  align-items: center;
  &:focus-visible {
    outline: 3px solid ${color('river')};
    outline-offset: 2px;
  }
`;

/** mm: from pivot to pivot of a geared hinge, where nobody says otherwise. An estimate. */
const usualPivots = 24;
/** where an order limits nothing the travel is looked at from straight to here */
const usualArc = { from: 0, to: 110 };
const joint = { from: 'knee-joint-space' } as const;

/** The knee's depth at the joint line: by calliper where it was read, else the drawing's own. */
function useKneeDepth(): { depth: number; read: boolean } {
  const { state, stature, born, today } = useWork();
  return useMemo(() => {
    const { states } = state.measuring;
    const read = stepAt(states, 'knee-depth', state.side)?.assessed?.mean;
    if (read !== undefined) return { depth: read, read: true };
    const build = buildOf(stature, born ? ageOn(born, today) : undefined);
    const body = bodyOf('leg', state.side, mirroredReadings(states, state.side), build);
    const level = body.level(joint.from) ?? 0;
    const edges = body.views.find(({ id }) => id === 'outer')?.edges(level) ?? [-60, 60];
    return { depth: edges[1] - edges[0], read: false };
  }, [state, stature, born, today]);
}

/** Whether there is a knee's hinge to place. */
export const hasKneeHinge = ({
  parts,
  programme,
}: {
  parts: readonly { kind: string }[];
  programme: { region: string };
}) => programme.region === 'leg' && parts.some(({ kind }) => kind === 'hinge');

/**
 * Is the hinge on the knee? The joint line is felt, the hinge's middle measured from it; what it would travel on the shank is
 * said at once, and where it would travel least. The maker's landmark decides; the estimate explains.
 */
export function HingeAlignment() {
  const [open, setOpen] = useState(false);
  return (
    <Fold title={t('hinge.title')} isOpen={open} onOpen={setOpen}>
      <Alignment />
    </Fold>
  );
}

function Alignment() {
  const { state, today, unit, write } = useWork();
  const may = useMay('set');
  const [saving, save] = useSaving();
  const { depth, read: depthRead } = useKneeDepth();
  const last = state.setting.hinge;
  const donning = state.programme.donning ?? 30;
  const start = {
    above: last ? formatNumber(last.aboveJointLine, 'mm', unit) : '',
    forward: last ? signedLength(last.forwardOfMidline, unit) : '0',
    knee: String(last?.knee ?? donning),
    donned: String(last?.donned ?? donning),
    pivots: formatNumber(usualPivots, 'mm', unit),
    path: '',
  };
  const [typed, type] = useDraft(`${state.case}-hinge`, start);
  const [hingeType, setType] = useDraft<HingeType>(`${state.case}-hinge-type`, 'single-axis');
  const now = (() => {
    const above = readQuantity(typed.above, 'distance', unit);
    const forward = readQuantity(typed.forward, 'distance', unit);
    const [knee, donned] = [
      readQuantity(typed.knee, 'degrees', unit),
      readQuantity(typed.donned, 'degrees', unit),
    ];
    return 'value' in above && 'value' in forward && 'value' in knee && 'value' in donned
      ? { above: above.value, forward: forward.value, knee: knee.value, donned: donned.value }
      : undefined;
  })();
  const written = readPath(typed.path);
  const own = 'path' in written && written.path.length > 0 ? written.path : undefined;
  const path = useSteady(own ?? state.programme.jointCentre ?? []);
  const pivots = readQuantity(typed.pivots, 'length', unit);
  const spacing = 'value' in pivots ? pivots.value : usualPivots;
  const motion = limitedMotion(state.programme);
  const order = state.order?.order;
  const window = (order && windowOn(order, today, motion)?.window) ?? {};
  const arc = useSteady({ from: window.extension ?? usualArc.from, to: window.flexion ?? usualArc.to });
  const spot = now && fromCentre(now.above, now.forward, depth);
  const taken = useRef(typed);
  useEffect(() => {
    taken.current = typed;
  });
  // one and the same while it is dragged: the figure holds on to it
  const put = useRef(type);
  useEffect(() => {
    put.current = type;
  });
  const move = useCallback(
    (to: { forward: number; proximal: number }) =>
      put.current({
        ...taken.current,
        above: signedLength(to.proximal, unit),
        forward: signedLength(to.forward, unit),
      }),
    [unit],
  );
  const centre = fromJointLine({ forward: 0, proximal: 0 }, depth);
  useFigureLayer({
    marks: [],
    parts: asWorn(state.parts.filter(({ kind }) => kind !== 'hinge')),
    reference: { at: joint, named: true },
    ...(now
      ? {
          handle: {
            from: joint,
            forward: now.forward,
            proximal: now.above,
            estimate: {
              forward: centre.forwardOfMidline,
              proximal: centre.aboveJointLine,
              within: centreKnownTo,
            },
            label: saidOff(spot!, unit),
            estimateLabel: t('hinge.centre', { within: formatDistance(centreKnownTo, unit) }),
            onMove: move,
          },
        }
      : {}),
  });
  const bounds = (value: number, least: number, most: number) => value >= least && value <= most;
  const isSound =
    now !== undefined &&
    bounds(now.above, -150, 200) &&
    bounds(now.forward, -100, 100) &&
    bounds(now.knee, -30, 160) &&
    bounds(now.donned, -30, 160);
  const arrows = (event: KeyboardEvent) => {
    const by = ({ ArrowUp: [0, 1], ArrowDown: [0, -1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] } as const)[
      event.key as 'ArrowUp'
    ];
    if (!by || !now) return;
    event.preventDefault();
    const stride = event.shiftKey ? 5 : 1;
    // an arrow moves it as it is seen: to the right is forward on a right leg
    const ahead = state.side === 'left' ? -1 : 1;
    move({ forward: now.forward + by[0] * stride * ahead, proximal: now.above + by[1] * stride });
  };
  const field = (name: 'above' | 'forward' | 'knee' | 'donned', kind: 'distance' | 'degrees') => (
    <ReadingField
      small
      label={t(`hinge.${name}`)}
      kind={kind}
      unit={unit}
      sign={kind === 'degrees' ? '°' : unit}
      value={typed[name]}
      minusSaid={name === 'forward' ? (amount) => t('hinge.behind', { amount }) : undefined}
      onChange={(text) => {
        type({ ...typed, [name]: text });
      }}
    />
  );
  return (
    <Stack $gap={12}>
      <Soft>{t('hinge.how', { landmark: landmarkOf(state.parts) })}</Soft>
      <Row $align="flex-end">
        {field('above', 'distance')}
        {field('forward', 'distance')}
        {field('knee', 'degrees')}
        {field('donned', 'degrees')}
      </Row>
      {!now && <Notice tone="caution">{t('hinge.feelFirst')}</Notice>}
      {now && isSound && spot && (
        <>
          <Pad role="group" tabIndex={0} aria-label={t('hinge.arrows')} onKeyDown={arrows}>
            {t('hinge.arrows')}
          </Pad>
          <Travelling
            spot={spot}
            type={hingeType}
            pivots={spacing}
            path={path}
            donned={now.donned}
            arc={arc}
            depth={depth}
          />
          <Row $align="flex-end">
            <Choice
              label={t('hinge.type')}
              options={(['single-axis', 'geared'] as const).map((value) => ({
                value,
                label: t(`hinge.types.${value}`),
              }))}
              value={hingeType}
              onChange={setType}
            />
            {hingeType === 'geared' && (
              <ReadingField
                small
                label={t('hinge.pivots')}
                kind="length"
                unit={unit}
                sign={unit}
                value={typed.pivots}
                onChange={(text) => type({ ...typed, pivots: text })}
              />
            )}
            {may('strapping.write') && (
              <Button
                look="main"
                isDisabled={saving}
                onPress={() =>
                  void save(() =>
                    write('hinge.placed', 'set', {
                      aboveJointLine: now.above,
                      forwardOfMidline: now.forward,
                      knee: now.knee,
                      donned: now.donned,
                      ...(depthRead ? { depth: Math.round(depth) } : {}),
                    }),
                  )
                }
              >
                {t('hinge.record')}
              </Button>
            )}
          </Row>
          <Fold title={t('hinge.pathTitle')}>
            <Field
              label={t('hinge.path')}
              value={typed.path}
              onChange={(text) => type({ ...typed, path: text })}
              lines={3}
              maxLength={800}
              help={t('hinge.pathHow')}
              problem={
                'notUnderstood' in written ? t('hinge.pathNot', { piece: written.notUnderstood }) : undefined
              }
            />
          </Fold>
        </>
      )}
      {now && !isSound && <Notice tone="stop">{t('hinge.outOfBounds')}</Notice>}
      <Why
        rows={[
          [
            t('hinge.whyCentre'),
            t(depthRead ? 'hinge.whyCentreRead' : 'hinge.whyCentreText', {
              depth: formatDistance(Math.round(depth), unit),
            }),
          ],
          [t('hinge.whyTravel'), t('hinge.whyTravelText')],
          [
            t('hinge.whyPath'),
            t(own ? 'hinge.whyPathOwn' : path.length > 0 ? 'hinge.whyPathFamily' : 'hinge.whyPathNone'),
          ],
          [t('common.source'), t('hinge.source')],
        ]}
      />
    </Stack>
  );
}

const signedLength = (mm: number, unit: Parameters<typeof formatNumber>[2]): string =>
  `${mm < 0 ? '-' : ''}${formatNumber(Math.abs(mm), 'mm', unit)}`;

const landmarkOf = (parts: readonly { kind: string }[]): string => {
  const hinge = parts.find((part): part is { kind: 'hinge'; at: { from: string } } => part.kind === 'hinge');
  return hinge ? named('landmarks', hinge.at.from) : '';
};

/** How the hinge lies off the estimated centre: so far in front or behind, so far high or low. */
const saidOff = ({ forward, proximal }: Spot, unit: Parameters<typeof formatDistance>[1]): string =>
  t('hinge.off', {
    forward: t(forward < 0 ? 'hinge.offBehind' : 'hinge.offFront', {
      by: formatDistance(Math.round(Math.abs(forward)), unit),
    }),
    proximal: t(proximal < 0 ? 'hinge.offLow' : 'hinge.offHigh', {
      by: formatDistance(Math.round(Math.abs(proximal)), unit),
    }),
  });

/** Travel over the arc, its end, the best place, what a slip would do. */
function Travelling({
  spot,
  type,
  pivots,
  path,
  donned,
  arc,
  depth,
}: {
  spot: Spot;
  type: HingeType;
  pivots: number;
  path: readonly PathPoint[];
  donned: number;
  arc: { from: number; to: number };
  depth: number;
}) {
  const { unit } = useWork();
  const hinge = useSteady<Hinge>({ type, at: spot, pivots });
  const end = hingeTravel(hinge, path, donned, arc.to);
  const best = useMemo(() => bestPlace(hinge, path, donned, arc), [hinge, path, donned, arc]);
  const shown = useMemo<TravelShown>(() => ({ hinge, path, donned, arc }), [hinge, path, donned, arc]);
  // the numbers answer at once, the curve when there is time
  const drawn = useDeferredValue(shown);
  const said = (mm: number) => formatFine(Math.abs(mm), 'mm', unit);
  const place = best && fromJointLine(best.at, depth);
  const slips =
    best && (['up', 'down', 'forward', 'backward'] as const).map((way) => [way, best.slipped[way]] as const);
  const worst = slips?.reduce((most, one) => (one[1] > most[1] ? one : most));
  return (
    <Stack $gap={10}>
      <Suspense fallback={<Loading away={false} />}>
        <TravelChart shown={drawn} />
      </Suspense>
      <Cards>
        <Sheet $pad={10} style={{ borderLeftColor: color('saddle') }}>
          <b>{said(end.along)}</b>
          {t(end.along < 0 ? 'hinge.downShank' : 'hinge.upShank', { angle: arc.to })}
        </Sheet>
        <Sheet $pad={10}>
          <b>{said(end.across)}</b>
          {t(end.across < 0 ? 'hinge.pressedBack' : 'hinge.pressedForward', { angle: arc.to })}
        </Sheet>
        {best && place && (
          <Sheet $pad={10} style={{ borderLeftColor: color('moss') }}>
            <b>{said(best.best)}</b>
            {t('hinge.best', {
              now: said(best.now),
              above: formatDistance(Math.round(place.aboveJointLine), unit),
              forward: saidMidline(Math.round(place.forwardOfMidline), unit),
            })}
          </Sheet>
        )}
      </Cards>
      {best && worst && (
        <Soft>
          {t('hinge.slips', {
            slip: formatDistance(5, unit),
            ways: slips!.map(([way, mm]) => t(`hinge.slipped.${way}`, { by: said(mm) })).join(', '),
          })}{' '}
          {t(Math.abs(end.along) > Math.abs(end.across) ? 'hinge.explainsAlong' : 'hinge.explainsAcross')}
        </Soft>
      )}
    </Stack>
  );
}

const saidMidline = (mm: number, unit: Parameters<typeof formatDistance>[1]): string =>
  t(mm < 0 ? 'hinge.behindMidline' : 'hinge.beforeMidline', { by: formatDistance(Math.abs(mm), unit) });
