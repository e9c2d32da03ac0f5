import { limitedMotion } from '@estribo/core/programmes';
import { hasEnded, testWindow, windowOn } from '@estribo/core/order';
import { placesAlong, stopsAt, type StopsSetting, choiceFor } from '@estribo/core/setting';
import { useState } from 'react';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn, hingeLevel } from '../figure/layer';
import { named, t } from '../messages';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { limitLabel } from '../screening/order-values';
import { NeedsOrder } from '../screening/needs-order';
import { formatAngle, formatDay } from '../parts/format';
import { Why } from '../parts/why';
import { Dial } from './dial';
import { MotionEntry } from './motion-entry';
import { StopsWork } from './stops-work';
import { Button } from '../parts/button';

/** The stops of the hinges, with order, hardware and joint beside them. */
export function StopsOfHinges({ setting }: { setting: StopsSetting }) {
  const { state, today } = useWork();
  const mayNow = useMay('set');
  const [again, setAgain] = useState(false);
  const reference = hingeLevel(state.parts);
  useFigureLayer({
    marks: [],
    parts: asWorn(state.parts),
    ...(reference ? { reference: { at: reference, named: true } } : {}),
  });
  const order = state.order?.order;
  const limited = limitedMotion(state.programme);
  const now = order && windowOn(order, today, limited);
  const joint = named('jointInside', state.programme.joint ?? 'any');
  if (!order || !now) return <NeedsOrder question={t('setting.question', { joint })} />;
  if (hasEnded(order, today))
    return (
      <>
        <h1>{t('setting.question', { joint })}</h1>
        <Notice tone="stop">{t('order.ended', { day: formatDay(order.until!) })}</Notice>
      </>
    );
  const choice = choiceFor(state, setting.id, today);
  const { hinge } = state.model;
  if (!choice || !hinge) return null;
  const { chosen, fitted, look } = state.setting;
  const reached = state.motion?.motion;
  const knee = reached && { from: -reached.extension || 0, to: reached.flexion };
  const shown =
    fitted?.medial ?? (choice.ok ? stopsAt(choice.made, placesAlong(setting.axes)[0]!) : undefined);
  const lost = choice.ok ? choice.lost : { extension: 0, flexion: 0 };
  const testedToday = state.motion?.day === today;
  const maySet = mayNow('setting.write');
  const mayTest = mayNow('measuring.write');
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('setting.question', { joint })}</h1>
        <Soft>
          {!choice.ok
            ? named('stopProblem', choice.problem)
            : lost.extension > 0 || lost.flexion > 0
              ? t('setting.nearestLost')
              : t('setting.nearestExact')}
          {today < order.dayZero && ` ${t('setting.beforeDayZero', { day: formatDay(order.dayZero) })}`}
        </Soft>
      </Stack>
      {look.map((found) => (
        <Notice key={found.what} tone="stop">
          <b>{t('setting.lookAtBrace')}</b> {named('look', found.what)}
        </Notice>
      ))}
      {!choice.ok && <Notice tone="stop">{named('stopProblemDo', choice.problem)}</Notice>}
      <Dial
        window={now.window}
        motion={limited}
        hardware={hinge}
        stops={shown}
        knee={knee}
        tested={testedToday || !state.motion ? t('common.today') : formatDay(state.motion.day)}
      />
      {!reached || again
        ? mayTest && (
            <MotionEntry
              window={testWindow(order, today, limited)}
              stage="set"
              primary={!fitted}
              onTaken={() => setAgain(false)}
            />
          )
        : mayTest && (
            <Row>
              <Button look="quiet" onPress={() => setAgain(true)}>
                {t('setting.testAgain', { joint })}
              </Button>
              {reached.limitReached.extension && (
                <Soft>{t('setting.limitReached', { end: limitLabel(limited!, 'from') })}</Soft>
              )}
              {reached.limitReached.flexion && (
                <Soft>{t('setting.limitReached', { end: limitLabel(limited!, 'to') })}</Soft>
              )}
            </Row>
          )}
      {chosen && chosen.staleBecause.length > 0 && <Notice tone="caution">{t('common.stale')}</Notice>}
      {(!maySet || reached) && <StopsWork stage="set" setting={setting} />}
      {choice.ok && (
        <Why
          rows={[
            [
              t('setting.whyExtension'),
              now.window.extension === undefined
                ? t('setting.noExtensionLimit', { stop: Math.min(...hinge.extension) })
                : t('setting.whyExtensionText', {
                    limit: formatAngle(limited, now.window.extension),
                    pieces: hinge.extension.join(', '),
                  }),
            ],
            [
              t('setting.whyFlexion'),
              now.window.flexion === undefined
                ? t('setting.noFlexionLimit')
                : t('setting.whyFlexionText', {
                    limit: formatAngle(limited, now.window.flexion),
                    pieces: hinge.flexion.join(', '),
                  }),
            ],
            [t('common.source'), t('setting.whySource')],
          ]}
        />
      )}
    </>
  );
}
