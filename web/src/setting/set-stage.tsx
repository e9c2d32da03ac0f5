import type { MarkToDraw } from '@estribo/core/drawing';
import type { CaseState } from '@estribo/core/logbook';
import { hasEnded } from '@estribo/core/order';
import { useFigureLayer, useSelection, useWork } from '../case/case-context';
import { asWorn } from '../figure/layer';
import { HingeAlignment, hasKneeHinge } from './hinge-alignment';
import { ScheduleWork } from './schedule-work';
import { SettingsWork } from './settings-work';
import { screenOf } from './kinds/all';
import { t } from '../messages';
import { Soft, Stack } from '../parts/layout';

/** What is set before it goes on: what has the whole work to itself, where it has that, and everything else. */
export default function SetStage() {
  const { state, today } = useWork();
  const first = state.setting.made.find(({ setting }) => screenOf(setting).Whole)?.setting;
  if (!first) return <PlainSettings />;
  const Whole = screenOf(first).Whole!;
  return (
    <>
      <Whole setting={first} />
      <SettingsWork />
      {state.order && !hasEnded(state.order.order, today) && <ScheduleWork order={state.order} />}
      {hasKneeHinge(state) && <HingeAlignment />}
    </>
  );
}

/** Settings one below the other. */
function PlainSettings() {
  const { state } = useWork();
  const { selected } = useSelection();
  useFigureLayer({
    parts: asWorn(state.parts),
    marks: state.setting.made
      .filter(({ setting }) => setting.made !== 'at-step')
      .flatMap(({ setting, judged }, i): MarkToDraw[] =>
        setting.at
          ? [
              {
                id: setting.id,
                kind: 'spot',
                at: setting.at,
                label: String(i + 1),
                state:
                  setting.id === selected
                    ? 'now'
                    : judged.state === 'wrong'
                      ? 'bad'
                      : judged.state === 'right'
                        ? 'done'
                        : 'ahead',
              },
            ]
          : [],
      ),
  });
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('setting.whatIsSet')}</h1>
        <Soft>{t('setting.whatIsSetHow')}</Soft>
      </Stack>
      <SettingsWork />
      {hasKneeHinge(state) && <HingeAlignment />}
      {isScheduled(state) && <ScheduleWork order={state.order!} />}
    </>
  );
}

/** Whether the order or a setting goes by days: more than one phase, an end, or something that goes out by and by. */
const isScheduled = ({ order, programme }: CaseState): boolean =>
  order !== undefined &&
  (order.given.phases.length > 1 ||
    order.order.until !== undefined ||
    programme.settings.some(({ schedule }) => schedule !== undefined));
