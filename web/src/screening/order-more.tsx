import { compartments, knownInjuries, mayHaveSide, orderedPostures, panelNames } from '@estribo/core/order';
import type { OrderedThing } from '@estribo/core/programmes';
import { Plus } from 'lucide-react';
import { Controller, useWatch, type Control } from 'react-hook-form';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { injuryName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Pick } from '../parts/pick';
import { formatAngle } from '../parts/format';
import { Toggles } from '../parts/toggles';
import { heldJoint, isHeldByPhase, typedAngle, type OrderValues } from './order-values';

/** The injuries as codes, those of this family first; any other can be picked. */
export function InjuryFields({ control }: { control: Control<OrderValues> }) {
  const { programme, side } = useWork().state;
  const chosen = useWatch({ control, name: 'injuries' });
  const first = programme.injuries ?? [];
  const shown = [...first, ...chosen.filter((code) => !first.includes(code))];
  const rest = knownInjuries.filter((code) => !shown.includes(code));
  return (
    <Controller
      control={control}
      name="injuries"
      render={({ field }) => (
        <Row $align="flex-end">
          <Toggles
            label={t('order.injuries')}
            options={shown.map((code) => ({ value: code, label: injuryName(programme, code) }))}
            value={field.value}
            onChange={field.onChange}
          />
          <Pick
            label={t('order.otherInjury')}
            value=""
            options={rest.map((code) => ({ value: code, label: injuryName(programme, code) }))}
            onChange={(code) => field.onChange([...field.value, code])}
          />
          {side === 'midline' && chosen.some(mayHaveSide) && (
            <Controller
              control={control}
              name="injurySide"
              render={({ field: ofSide }) => (
                <Choice
                  label={t('order.injurySide')}
                  options={(['left', 'right'] as const).map((value) => ({
                    value,
                    label: named('side', value),
                  }))}
                  value={ofSide.value}
                  onChange={ofSide.onChange}
                />
              )}
            />
          )}
        </Row>
      )}
    />
  );
}

/** What is ordered beside motion: what this family is ordered with stands open, the rest a touch away. */
export function OrderMore({
  control,
  all,
  onAll,
}: {
  control: Control<OrderValues>;
  all: boolean;
  onAll: () => void;
}) {
  const { programme, model } = useWork().state;
  const does = programme.ordered ?? [];
  const asks = (thing: OrderedThing) => all || does.includes(thing);
  const heights = [...new Set(model.chart.heights?.map(({ height }) => height))];
  const held = heldJoint(programme);
  const unsaid = { value: 'unsaid' as const, label: t('order.heightUnsaid') };
  const choice = (
    name: 'relieve' | 'height' | 'posture' | 'roll',
    label: string,
    values: readonly string[],
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice
          label={label}
          options={[...values.map((value) => ({ value, label: named('orderedValue', value) })), unsaid]}
          value={field.value}
          onChange={field.onChange}
        />
      )}
    />
  );
  return (
    <Stack $gap={12}>
      {(heights.length > 0 || all) &&
        choice('height', t('order.height'), heights.length > 0 ? heights : ['short', 'tall', 'low', 'high'])}
      {asks('angle') && programme.joint && !isHeldByPhase(programme) && (
        <Controller
          control={control}
          name="angle"
          render={({ field: { ref: _ref, ...field }, fieldState }) => (
            <Field
              {...field}
              label={t('order.angleAt', { joint: named('jointInside', held.joint) })}
              help={
                field.value.trim() === ''
                  ? t('order.angleHow')
                  : `= ${formatAngle(held, typedAngle(held, 'to', field.value))}`
              }
              problem={fieldState.error?.message}
              inputMode="text"
              width="280px"
            />
          )}
        />
      )}
      {asks('relieve') && choice('relieve', t('order.relieve'), compartments)}
      {asks('panels') && (
        <Controller
          control={control}
          name="panels"
          render={({ field }) => (
            <Toggles
              label={t('order.panels')}
              options={panelNames.map((value) => ({ value, label: named('panelNames', value) }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {asks('posture') && choice('posture', t('order.posture'), orderedPostures)}
      {asks('roll') && choice('roll', t('order.roll'), ['left', 'right'])}
      {all && (
        <Controller
          control={control}
          name="until"
          render={({ field, fieldState }) => (
            <DayField
              label={t('order.until')}
              value={field.value}
              onChange={field.onChange}
              problem={fieldState.error?.message}
            />
          )}
        />
      )}
      {!all && (
        <Row>
          <Button look="quiet" onPress={onAll}>
            <Plus size={18} aria-hidden /> {t('order.more')}
          </Button>
        </Row>
      )}
    </Stack>
  );
}
