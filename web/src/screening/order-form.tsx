import { intentInForce } from '@estribo/core/logbook';
import { orderProblems, troubleAdvice, troubles, type Order } from '@estribo/core/order';
import { notCarriedOut } from '@estribo/core/programmes';
import { useDeferredValue, useEffect, useEffectEvent, useMemo, useState, type ComponentType } from 'react';
import { yupResolver } from '@hookform/resolvers/yup';
import { Controller, useForm, useWatch, type Control, type Resolver } from 'react-hook-form';
import { Form } from 'react-aria-components';
import styled from 'styled-components';
import { useDraftOfForm } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { formatDay } from '../parts/format';
import { Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';
import { InjuryFields, OrderMore } from './order-more';
import { OrderPhases } from './order-phases';
import { PastePhases } from './paste-phases';
import { orderRules, schedulable } from './order-rules';
import {
  emptyOrder,
  filledOrder,
  formatNotCarriedOut,
  orderOf,
  sameDays,
  type OrderValues,
} from './order-values';

const Fill = styled(Form)`
  display: flex;
  flex-direction: column;
  gap: 14px;
`;

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 12px;
`;

/** Shows what an order that would follow the one in force does to the days ahead. */
export type ShowsPlan = ComponentType<{ after: Order }>;

/**
 * The prescriber's order, as it was given.
 * @param plan the floor of the settings knows what is set on which day; the order's form is given it
 */
export function OrderForm({
  before,
  plan: Plan,
  onDone,
}: {
  before: Order | undefined;
  plan: ShowsPlan;
  onDone: () => void;
}) {
  const { state, today, born, write } = useWork();
  const [saving, save] = useSaving();
  const start = before ? filledOrder(before, state.programme) : emptyOrder(state.programme, today);
  // the order it follows is the one in force when it was begun: one that came in since is shown, not overwritten
  const begun = { values: start, follows: intentInForce(state, 'order.given', {}) };
  // of the fourth form of an order: what was typed for one before has other fields
  const [draft, keepDraft] = useDraftOfForm(`${state.case}-order-4`, begun);
  const { control, handleSubmit, setValue, setError, formState, subscribe } = useForm<OrderValues>({
    resolver: yupResolver(orderRules({ born, today })) as unknown as Resolver<OrderValues>,
    defaultValues: draft.values,
  });
  const keep = useEffectEvent((values: OrderValues) => keepDraft({ ...draft, values }));
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => keep(values) }),
    [subscribe],
  );
  const [all, showAll] = useState(false);
  // a brace that neither limits nor bears has its phases a touch away, but for an order that has some
  const phased =
    state.programme.joint !== undefined ||
    start.phases.length > 1 ||
    start.phases.some(({ limits, lock, weight }) => limits.length > 0 || lock !== '' || weight !== 'unsaid');
  const [trouble, isProtective, dayZero, isTelephone] = useWatch({
    control,
    name: ['trouble', 'protective', 'dayZero', 'telephone'],
  });

  const submit = handleSubmit((values) => {
    if (values.fromText && !values.confirmed)
      return setError('confirmed', { message: t('paste.confirmFirst') });
    if (values.telephone && !values.readBack)
      return setError('readBack', { message: t('order.readBackFirst') });
    const order = orderOf(values, state.side, state.programme);
    const left = notCarriedOut(order, state.programme, state.model);
    if (left.some((name) => !values.acknowledged.includes(name)))
      return setError('acknowledged', { message: t('order.acknowledgeFirst') });
    const wrong = orderProblems(order, state.side).filter(
      ({ problem }) => problem !== 'protective-taken-off',
    );
    for (const found of wrong)
      setError('phase' in found ? `phases.${found.phase}.fromDay` : 'root', {
        message: named('orderProblem', found.problem),
      });
    if (wrong.length === 0)
      return save(async () => {
        const taken = left.length > 0 ? { ...order, acknowledged: left } : order;
        await write('order.given', 'screen', taken, { follows: draft.follows });
        keepDraft(begun);
        onDone();
      });
  });

  const text = (
    name: 'diagnosis' | 'prescriber' | 'wearing',
    label: string,
    longest: number,
    lines?: number,
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref: _ref, ...field }, fieldState }) => (
        <Field
          {...field}
          label={label}
          problem={fieldState.error?.message}
          maxLength={longest}
          {...(lines ? { lines } : {})}
        />
      )}
    />
  );

  return (
    <Fill onSubmit={(event) => void submit(event)} validationBehavior="aria">
      <Stack $gap={4}>
        <h2>{before ? t('order.newTitle') : t('order.question')}</h2>
        <Soft>
          {t(state.programme.joint ? 'order.how' : 'order.howPlain', {
            side: named('bodyPart', `${state.side}-${state.programme.region}`),
          })}
        </Soft>
      </Stack>
      <Pair>
        {text('diagnosis', t('order.diagnosis'), 400)}
        {text('prescriber', t('order.prescriber'), 120)}
      </Pair>
      <Controller
        control={control}
        name="dayZero"
        render={({ field, fieldState }) => (
          <DayField
            label={t('order.dayZeroLong')}
            value={field.value}
            onChange={field.onChange}
            problem={fieldState.error?.message}
          />
        )}
      />
      <InjuryFields control={control} />
      {(phased || all) && (
        <PastePhases
          dayZero={dayZero}
          onTake={(phases, source) => {
            setValue('phases', phases);
            setValue('source', source);
            setValue('fromText', true);
            setValue('confirmed', false);
          }}
        />
      )}
      {(phased || all) && <OrderPhases control={control} />}
      <Confirmed control={control} />
      <OrderMore control={control} all={all} onAll={() => showAll(true)} />
      <Row $align="flex-start" $gap={24}>
        <Controller
          control={control}
          name="protective"
          render={({ field, fieldState }) => (
            <Stack $gap={4}>
              <Choice
                label={t('order.protectiveQuestion')}
                options={[
                  { value: 'yes', label: t('order.protectiveYes') },
                  { value: 'no', label: t('order.protectiveNo') },
                ]}
                value={field.value}
                onChange={(value) => {
                  field.onChange(value);
                  if (trouble === undefined || isProtective !== value)
                    setValue('trouble', troubleAdvice(value === 'yes'));
                }}
              />
              {fieldState.error && <Notice tone="stop">{fieldState.error.message}</Notice>}
            </Stack>
          )}
        />
        <Controller
          control={control}
          name="trouble"
          render={({ field, fieldState }) => (
            <Stack $gap={4}>
              <Choice
                label={t('order.trouble')}
                options={troubles.map((value) => ({
                  value,
                  label: named('troubleShort', value),
                }))}
                value={field.value}
                onChange={field.onChange}
              />
              {fieldState.error && <Notice tone="stop">{fieldState.error.message}</Notice>}
            </Stack>
          )}
        />
      </Row>
      {isProtective === 'yes' && trouble === 'take-off' && (
        <Notice tone="caution">{named('orderProblem', 'protective-taken-off')}</Notice>
      )}
      {text('wearing', t('order.wearingLong'), 400, 2)}
      {before && <PlanAfter control={control} plan={Plan} />}
      <Stack $gap={6}>
        <Controller
          control={control}
          name="telephone"
          render={({ field }) => (
            <Tick isSelected={field.value} onChange={field.onChange}>
              {t('order.telephone')}
            </Tick>
          )}
        />
        {isTelephone && (
          <Controller
            control={control}
            name="readBack"
            render={({ field, fieldState }) => (
              <Notice tone="caution">
                <Tick
                  isSelected={field.value}
                  isInvalid={fieldState.error !== undefined}
                  onChange={field.onChange}
                >
                  {t('order.readBack')}
                </Tick>
                {fieldState.error && <b>{fieldState.error.message}</b>}
              </Notice>
            )}
          />
        )}
      </Stack>
      <NotByThisBrace control={control} />
      {formState.errors.root && <Notice tone="stop">{formState.errors.root.message}</Notice>}
      <Row>
        <Button look="main" type="submit" isDisabled={saving}>
          {t('order.take')}
        </Button>
        {before && (
          <Button
            look="quiet"
            onPress={() => {
              keepDraft(begun);
              onDone();
            }}
          >
            {t('common.cancel')}
          </Button>
        )}
      </Row>
    </Fill>
  );
}

/** Phases that were read out of text count when somebody has held them against the order. */
function Confirmed({ control }: { control: Control<OrderValues> }) {
  const fromText = useWatch({ control, name: 'fromText' });
  if (!fromText) return null;
  return (
    <Controller
      control={control}
      name="confirmed"
      render={({ field, fieldState }) => (
        <Notice tone="caution">
          <Stack $gap={4}>
            <Tick
              isSelected={field.value}
              isInvalid={fieldState.error !== undefined}
              onChange={field.onChange}
            >
              {t('paste.confirm')}
            </Tick>
            {fieldState.error && <b>{fieldState.error.message}</b>}
          </Stack>
        </Notice>
      )}
    />
  );
}

/** What a new order does to the days ahead, as soon as its own can be read: before it is taken, beside what it replaces. */
function PlanAfter({ control, plan: Plan }: { control: Control<OrderValues>; plan: ShowsPlan }) {
  const { state } = useWork();
  const values = useWatch({ control }) as OrderValues;
  const typed = useMemo(() => schedulable(values, state.side, state.programme), [values, state]);
  // typing is answered first
  const after = useDeferredValue(typed);
  const { order: now, heldSince } = state.order!;
  if (!after || (sameDays(now, after) && !heldSince)) return null;
  return (
    <Sheet>
      <Stack $gap={8}>
        <Plan after={after} />
        {heldSince && <Notice tone="caution">{t('order.endsHold', { day: formatDay(heldSince) })}</Notice>}
      </Stack>
    </Sheet>
  );
}

/** What is ordered and this brace cannot do: seen before the order is taken, never dropped. */
function NotByThisBrace({ control }: { control: Control<OrderValues> }) {
  const { state } = useWork();
  const values = useWatch({ control }) as OrderValues;
  const left = notCarriedOut(orderOf(values, state.side, state.programme), state.programme, state.model)
    // an angle that is still being typed is none yet
    .filter((name) => !name.endsWith('NaN'));
  if (left.length === 0) return null;
  return (
    <Controller
      control={control}
      name="acknowledged"
      render={({ field, fieldState }) => (
        <Notice tone="caution">
          <Stack $gap={4}>
            <b>{t('order.notByThisBrace')}</b>
            <ul>
              {left.map((name) => (
                <li key={name}>{formatNotCarriedOut(name)}</li>
              ))}
            </ul>
            <Tick
              isSelected={left.every((name) => field.value.includes(name))}
              isInvalid={fieldState.error !== undefined}
              onChange={(seen) => field.onChange(seen ? left : [])}
            >
              {t('order.acknowledge')}
            </Tick>
            {fieldState.error && <b>{fieldState.error.message}</b>}
          </Stack>
        </Notice>
      )}
    />
  );
}
