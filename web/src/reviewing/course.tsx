import { endsOf, type JointPlane } from '@estribo/core/anatomy';
import { limitedMotion } from '@estribo/core/programmes';
import type { VisitMotion } from '@estribo/core/reviewing';
import { lazy, Suspense, useCallback, useState } from 'react';
import type { Token } from '../look/tokens';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Choice } from '../parts/choice';
import { Loading } from '../parts/loading';
import { Stack } from '../parts/layout';
import { formatDay } from '../parts/format';
import { useSteady } from '../parts/use-steady';

const Chart = lazy(() => import('../parts/chart'));

/** A motion that has a course: which, and how it is called. */
interface Followed extends JointPlane {
  /** undefined for the one that the order limits */
  step: string | undefined;
  name: string;
}

/** Motion over the visits, one of those that are followed at a time. */
export function Course() {
  const { state } = useWork();
  const { first, visits, followed } = state.reviewing;
  const [chosen, choose] = useState<string>();
  const limited = limitedMotion(state.programme);
  const motions = followed.motions
    .filter(({ side }) => side === state.side)
    .flatMap(({ step }): Followed[] => {
      if (step)
        return [{ joint: step.joint, plane: step.plane, step: step.id, name: named('steps', step.id) }];
      return limited ? [{ ...limited, step: undefined, name: named('joints', limited.joint) }] : [];
    })
    // one course for both modes of a motion
    .filter(({ step }, i, all) => all.findIndex((one) => one.step === step) === i);
  const tested = ({ step }: Followed) =>
    [first, ...visits].flatMap((visit) =>
      visit.motions
        .filter((one) => one.step === step && !one.other)
        .map((motion) => ({ day: visit.day, motion })),
    );
  const withCourse = motions.filter((motion) => courseOf(tested(motion)).length > 1);
  const shown = withCourse.find(({ name }) => name === chosen) ?? withCourse[0];
  if (!shown) return null;
  return (
    <Stack $gap={6}>
      {withCourse.length > 1 && (
        <Choice
          label={t('reviewing.whichMotion')}
          options={withCourse.map(({ name }) => ({ value: name, label: name }))}
          value={shown.name}
          onChange={choose}
        />
      )}
      <CourseChart motion={shown} tested={courseOf(tested(shown))} />
    </Stack>
  );
}

type Tested = { day: string; motion: VisitMotion };

/** One mode is one line: an active test among passive ones would look like a loss. */
function courseOf(tested: readonly Tested[]): { day: string; extension: number; flexion: number }[] {
  const mode = tested.at(-1)?.motion.mode;
  return tested
    .filter(({ motion }) => motion.mode === mode)
    .map(({ day, motion: { extension, flexion } }) => ({ day, extension, flexion }));
}

function CourseChart({
  motion,
  tested,
}: {
  motion: Followed;
  tested: readonly { day: string; extension: number; flexion: number }[];
}) {
  const { motion: of, tested: shown } = useSteady({ motion, tested });
  const option = useCallback(
    (palette: Record<Token, string>) => {
      const [low, high] = endsOf(of).map((end) => named('motionEndTitle', end));
      const line = (name: string, end: 'extension' | 'flexion', token: Token) => ({
        type: 'line' as const,
        name,
        data: shown.map((visit) => visit[end]),
        symbolSize: 9,
        lineStyle: { color: palette[token], width: 2.5 },
        itemStyle: { color: palette[token] },
        label: {
          show: true,
          color: palette.ink,
          formatter: ({ value }: { value?: unknown }) => `${Number(value)}°`,
        },
        endLabel: { show: true, formatter: name, color: palette[token], offset: [6, 0] },
      });
      return {
        grid: { left: 44, right: 104, top: 18, bottom: 24 },
        xAxis: {
          type: 'category' as const,
          data: shown.map(({ day }) => formatDay(day)),
          axisLabel: { color: palette.soft },
          axisLine: { lineStyle: { color: palette.edge } },
        },
        yAxis: {
          type: 'value' as const,
          axisLabel: { color: palette.soft, formatter: '{value}°' },
          splitLine: { lineStyle: { color: palette.line } },
        },
        series: [line(high!, 'flexion', 'river'), line(low!, 'extension', 'ochre')],
      };
    },
    [of, shown],
  );
  return (
    <Suspense fallback={<Loading away={false} />}>
      <Chart option={option} height={180} label={t('reviewing.course', { motion: motion.name })} />
    </Suspense>
  );
}
