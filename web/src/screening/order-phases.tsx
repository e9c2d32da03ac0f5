import { jointsFrom, planes, type JointPlane, type Region } from '@estribo/core/anatomy';
import { lockMoments, orderedPostures, panelNames, weightBearing } from '@estribo/core/order';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Controller, useFieldArray, useWatch, type Control } from 'react-hook-form';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button, IconButton } from '../parts/button';
import { Toggles } from '../parts/toggles';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Pick } from '../parts/pick';
import { formatAngle } from '../parts/format';
import {
  emptyPhase,
  heldJoint,
  isHeldByPhase,
  limitLabel,
  saidAngle,
  typedAngle,
  type OrderValues,
} from './order-values';

const Line = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 1fr 44px;
  gap: 10px;
  align-items: start;
  & > button {
    margin-top: 22px;
  }
`;

const Phase = styled.div`
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding-left: 12px;
  border-left: 3px solid ${color('line')};
`;

type At = `phases.${number}`;
type LockTimes = OrderValues['phases'][number]['lockWhen'];

/** The phases of an order: limits by joint and plane, a lock, weight bearing, each from a day on. */
export function OrderPhases({ control }: { control: Control<OrderValues> }) {
  const { programme } = useWork().state;
  const { fields, append, remove } = useFieldArray({ control, name: 'phases' });
  return (
    <Stack $gap={10}>
      <h3>{t(programme.joint ? 'order.window' : 'order.phases')}</h3>
      {fields.map((row, i) => (
        <PhaseFields
          key={row.id}
          control={control}
          at={`phases.${i}`}
          isFirst={i === 0}
          onRemove={() => remove(i)}
        />
      ))}
      <Row>
        <Button look="quiet" onPress={() => append(emptyPhase(programme, ''))}>
          <Plus size={18} aria-hidden /> {t('order.addPhase')}
        </Button>
      </Row>
    </Stack>
  );
}

function PhaseFields({
  control,
  at,
  isFirst,
  onRemove,
}: {
  control: Control<OrderValues>;
  at: At;
  isFirst: boolean;
  onRemove: () => void;
}) {
  const { programme } = useWork().state;
  const { region } = programme;
  const { fields, append, remove } = useFieldArray({ control, name: `${at}.limits` });
  const does = programme.ordered ?? [];
  const isHeld = isHeldByPhase(programme);
  const [more, showMore] = useState(false);
  // a lock that was read out of text is shown, whether or not this brace has one
  const locked = useWatch({ control, name: `${at}.lock` }).trim() !== '';
  const phase = Number(at.split('.')[1]) + 1;
  const day = (
    <Controller
      control={control}
      name={`${at}.fromDay`}
      render={({ field: { ref: _ref, ...field }, fieldState }) => (
        <Field
          {...field}
          label={t('order.fromDay')}
          problem={fieldState.error?.message}
          isDisabled={isFirst}
          inputMode="numeric"
        />
      )}
    />
  );
  const last = (
    <Controller
      control={control}
      name={`${at}.lastDay`}
      render={({ field: { ref: _ref, ...field }, fieldState }) => (
        <Field
          {...field}
          label={t('paste.lastDay')}
          placeholder={t('paste.openEnd')}
          problem={fieldState.error?.message}
          inputMode="numeric"
        />
      )}
    />
  );
  const away = isFirst ? (
    <span />
  ) : (
    <IconButton aria-label={t('order.removePhase', { phase })} onPress={onRemove}>
      <X size={18} aria-hidden />
    </IconButton>
  );
  return (
    <Phase role="group" aria-label={t('order.phase', { phase })}>
      {fields.length === 0 && (
        <Line>
          {day}
          {last}
          <span />
          <span />
          {away}
        </Line>
      )}
      {fields.map((limit, i) => (
        <Line key={limit.id}>
          {i === 0 ? day : <p style={{ paddingTop: 32 }}>{motionName(limit)}</p>}
          {i === 0 ? last : <span />}
          <LimitField control={control} name={`${at}.limits.${i}.from`} motion={limit} end="from" />
          <LimitField control={control} name={`${at}.limits.${i}.to`} motion={limit} end="to" />
          {i === 0 ? (
            away
          ) : (
            <IconButton
              aria-label={t('order.removeLimit', { motion: motionName(limit) })}
              onPress={() => remove(i)}
            >
              <X size={18} aria-hidden />
            </IconButton>
          )}
        </Line>
      ))}
      {(does.includes('lock') || does.includes('weight') || isHeld || more || locked) && (
        <Row $align="flex-start" $gap={12}>
          {(does.includes('lock') || isHeld || more || locked) && <LockFields control={control} at={at} />}
          {(does.includes('weight') || more) && (
            <Controller
              control={control}
              name={`${at}.weight`}
              render={({ field }) => (
                <Pick
                  label={t('order.weight')}
                  options={[
                    { value: 'unsaid' as const, label: t('order.heightUnsaid') },
                    ...weightBearing.map((value) => ({ value, label: named('weightBearing', value) })),
                  ]}
                  value={field.value}
                  onChange={field.onChange}
                />
              )}
            />
          )}
        </Row>
      )}
      {!isFirst && <BraceOfPhase control={control} at={at} />}
      {more && (
        <Pick
          label={t('order.limitAnother')}
          value=""
          options={otherMotions(region, fields).map((motion) => ({
            value: `${motion.joint} ${motion.plane}`,
            label: motionName(motion),
          }))}
          onChange={(chosen) => {
            const [joint, plane] = chosen.split(' ') as [JointPlane['joint'], JointPlane['plane']];
            append({ joint, plane, from: '', to: '' });
          }}
        />
      )}
      {!more && (
        <Row>
          <Button look="quiet" onPress={() => showMore(true)}>
            <Plus size={18} aria-hidden />{' '}
            {t(does.includes('lock') && does.includes('weight') ? 'order.limitAnother' : 'order.moreOfPhase')}
          </Button>
        </Row>
      )}
    </Phase>
  );
}

/** What of the brace is another from this phase on: its height, its panels, how it is put on. */
function BraceOfPhase({ control, at }: { control: Control<OrderValues>; at: At }) {
  const { programme, model } = useWork().state;
  const does = programme.ordered ?? [];
  const heights = [...new Set(model.chart.heights?.map(({ height }) => height))];
  const asBefore = { value: 'unsaid' as const, label: t('order.asBefore') };
  if (heights.length === 0 && !does.includes('panels') && !does.includes('posture')) return null;
  return (
    <Row $align="flex-start" $gap={12}>
      {heights.length > 0 && (
        <Controller
          control={control}
          name={`${at}.height`}
          render={({ field }) => (
            <Pick
              label={t('order.height')}
              options={[asBefore, ...heights.map((value) => ({ value, label: named('heights', value) }))]}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {does.includes('panels') && (
        <Controller
          control={control}
          name={`${at}.panels`}
          render={({ field }) => (
            <Toggles
              label={t('order.panelsFrom')}
              options={panelNames.map((value) => ({ value, label: named('panelNames', value) }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {does.includes('posture') && (
        <Controller
          control={control}
          name={`${at}.posture`}
          render={({ field }) => (
            <Pick
              label={t('order.posture')}
              options={[
                asBefore,
                ...orderedPostures.map((value) => ({ value, label: named('orderedValue', value) })),
              ]}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      )}
    </Row>
  );
}

const motionName = ({ joint, plane }: JointPlane): string =>
  t('order.motionOf', { joint: named('joints', joint), plane: named('planes', plane) });

/** Motions that are not limited yet, those of the braced region first. */
const otherMotions = (region: Region, there: readonly JointPlane[]): JointPlane[] =>
  jointsFrom(region)
    .flatMap((joint) => planes.map((plane) => ({ joint, plane })))
    .filter(({ joint, plane }) => !there.some((one) => one.joint === joint && one.plane === plane));

function LimitField({
  control,
  name,
  motion: { joint, plane },
  end,
}: {
  control: Control<OrderValues>;
  name: `${At}.limits.${number}.${'from' | 'to'}`;
  motion: JointPlane;
  end: 'from' | 'to';
}) {
  const motion = { joint, plane };
  const label = limitLabel(motion, end);
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref: _ref, ...field }, fieldState }) => (
        <Field
          {...field}
          label={label}
          problem={fieldState.error?.message}
          placeholder={t('order.notLimited')}
          help={saidAngle(motion, end, field.value)}
          inputMode="text"
        />
      )}
    />
  );
}

/** What is locked always is not locked at times too: the last choice holds. */
const alwaysAlone = (chosen: LockTimes, before: LockTimes): LockTimes =>
  chosen.length > 1 && chosen.includes('always')
    ? before.includes('always')
      ? chosen.filter((when) => when !== 'always')
      : ['always']
    : chosen;

function LockFields({ control, at }: { control: Control<OrderValues>; at: At }) {
  const { programme } = useWork().state;
  const held = heldJoint(programme);
  const isHeld = isHeldByPhase(programme);
  const typed = useWatch({ control, name: `${at}.lock` });
  return (
    <>
      <Controller
        control={control}
        name={`${at}.lock`}
        render={({ field: { ref: _ref, ...field }, fieldState }) => (
          <Field
            {...field}
            label={t(isHeld ? 'order.angleAt' : 'order.lockAt', {
              joint: named('jointInside', held.joint),
            })}
            placeholder={isHeld ? '' : t('order.notLocked')}
            problem={fieldState.error?.message}
            help={
              field.value.trim() === ''
                ? isHeld
                  ? t('order.angleHow')
                  : undefined
                : `= ${formatAngle(held, typedAngle(held, 'to', field.value))}`
            }
            width={isHeld ? '280px' : '150px'}
            inputMode="text"
          />
        )}
      />
      {typed.trim() !== '' && !isHeld && (
        <Controller
          control={control}
          name={`${at}.lockWhen`}
          render={({ field, fieldState }) => (
            <div>
              <Toggles
                label={t('order.lockWhen')}
                options={lockMoments.map((value) => ({ value, label: named('lockWhen', value) }))}
                value={field.value}
                onChange={(chosen) => field.onChange(alwaysAlone(chosen, field.value))}
              />
              {fieldState.error && <b style={{ color: color('madder') }}>{fieldState.error.message}</b>}
            </div>
          )}
        />
      )}
    </>
  );
}
