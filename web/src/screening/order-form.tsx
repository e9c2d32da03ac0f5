import { boundsOf, intentInForce } from '@estribo/core/logbook';
import { orderProblems, troubleAdvice, type HeightName, type Order } from '@estribo/core/order';
import { Plus, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Controller, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { Form } from 'react-aria-components';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button, IconButton } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { degrees, saidUnderZero, signed } from '../parts/print';
import { useSaving } from '../parts/use-saving';

interface Values {
  diagnosis: string;
  prescriber: string;
  dayZero: string | undefined;
  phases: { fromDay: string; extension: string; flexion: string }[];
  height: HeightName | 'unsaid';
  protective: 'yes' | 'no' | undefined;
  wearing: string;
  trouble: Order['trouble'] | undefined;
}

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

const Phase = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 44px;
  gap: 10px;
  align-items: start;
  & > button {
    margin-top: 22px;
  }
`;

const empty: Values = {
  diagnosis: '',
  prescriber: '',
  dayZero: undefined,
  phases: [{ fromDay: '0', extension: '', flexion: '' }],
  height: 'unsaid',
  protective: undefined,
  wearing: '',
  trouble: undefined,
};

const filled = (order: Order): Values => ({
  ...order,
  phases: order.phases.map(({ fromDay, window }) => ({
    fromDay: String(fromDay),
    extension: window.extension === undefined ? '' : String(window.extension),
    flexion: window.flexion === undefined ? '' : String(window.flexion),
  })),
  height: order.height ?? 'unsaid',
  protective: order.protective ? 'yes' : 'no',
});

const number = (text: string) => Number(text.trim().replace(',', '.').replace('−', '-').replace(/°$/, ''));
const numberProblem = (what: string, text: string, path: string, unit: string): string | true => {
  const value = number(text);
  if (text.trim() === '' || !Number.isFinite(value)) return t('bounds.number', { what });
  return (
    boundsProblem(what, value, boundsOf('order.given', path), (bound) => `${signed(bound)}${unit}`) ?? true
  );
};

/** The prescriber's order, as it was given. */
export function OrderForm({ before, onDone }: { before: Order | undefined; onDone: () => void }) {
  const { state, write } = useWork();
  const [saving, save] = useSaving();
  const start = before ? filled(before) : empty;
  // the order it follows is the one in force when it was begun: one that came in since is shown, not overwritten
  const begun = { values: start, follows: intentInForce(state, 'order.given') };
  const [draft, setDraft] = useDraft(`${state.case}-order`, begun);
  const { control, handleSubmit, setValue, setError, formState, subscribe } = useForm<Values>({
    defaultValues: draft.values,
  });
  const keep = useRef((values: Values) => setDraft({ ...draft, values }));
  useEffect(() => {
    keep.current = (values) => setDraft({ ...draft, values });
  });
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => keep.current(values) }),
    [subscribe],
  );
  const heights = [...new Set(state.model.chart.heights?.map(({ height }) => height))];
  const { fields, append, remove } = useFieldArray({ control, name: 'phases' });
  const [trouble, isProtective] = useWatch({ control, name: ['trouble', 'protective'] });

  const submit = handleSubmit((values) => {
    const order: Order = {
      diagnosis: values.diagnosis.trim(),
      prescriber: values.prescriber.trim(),
      side: state.side,
      dayZero: values.dayZero!,
      phases: values.phases.map(({ fromDay, extension, flexion }) => ({
        fromDay: number(fromDay),
        window: {
          ...(extension.trim() === '' ? {} : { extension: number(extension) }),
          ...(flexion.trim() === '' ? {} : { flexion: number(flexion) }),
        },
      })),
      ...(values.height === 'unsaid' ? {} : { height: values.height }),
      protective: values.protective === 'yes',
      wearing: values.wearing.trim(),
      trouble: values.trouble!,
    };
    const wrong = orderProblems(order, state.side).filter(
      ({ problem }) => problem !== 'protective-taken-off',
    );
    for (const found of wrong)
      setError('phase' in found ? `phases.${found.phase}.fromDay` : 'root', {
        message: named('orderProblem', found.problem),
      });
    if (wrong.length === 0)
      return save(async () => {
        await write('order.given', 'screen', order, { follows: draft.follows });
        setDraft(begun);
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
      rules={{ validate: (value) => value.trim() !== '' || t('order.needed') }}
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
        rules={{ required: t('order.needed') }}
        render={({ field, fieldState }) => (
          <DayField
            label={t('order.dayZeroLong')}
            value={field.value}
            onChange={field.onChange}
            problem={fieldState.error?.message}
          />
        )}
      />
      {state.programme.joint && (
        <Stack $gap={8}>
          <h3>{t('order.window')}</h3>
          {fields.map((row, i) => (
            <Phase key={row.id}>
              <Controller
                control={control}
                name={`phases.${i}.fromDay`}
                rules={{
                  validate: (value) => numberProblem(t('order.fromDay'), value, 'phases.fromDay', ''),
                }}
                render={({ field: { ref: _ref, ...field }, fieldState }) => (
                  <Field
                    {...field}
                    label={t('order.fromDay')}
                    problem={fieldState.error?.message}
                    isDisabled={i === 0}
                    inputMode="numeric"
                  />
                )}
              />
              {(['extension', 'flexion'] as const).map((limit) => (
                <Controller
                  key={limit}
                  control={control}
                  name={`phases.${i}.${limit}`}
                  rules={{
                    validate: (value) =>
                      value.trim() === '' ||
                      numberProblem(t(`order.${limit}`), value, `phases.window.${limit}`, '°'),
                  }}
                  render={({ field: { ref: _ref, ...field }, fieldState }) => (
                    <Field
                      {...field}
                      label={t(
                        state.programme.joint === 'ankle' ? `order.${limit}OfAnkle` : `order.${limit}`,
                      )}
                      problem={fieldState.error?.message}
                      placeholder={t('order.notLimited')}
                      help={
                        number(field.value) < 0
                          ? `= ${saidUnderZero(state.programme.joint ?? 'any', degrees(-number(field.value)))}`
                          : undefined
                      }
                      inputMode="text"
                    />
                  )}
                />
              ))}
              {i > 0 ? (
                <IconButton aria-label={t('order.removePhase', { phase: i + 1 })} onPress={() => remove(i)}>
                  <X size={18} aria-hidden />
                </IconButton>
              ) : (
                <span />
              )}
            </Phase>
          ))}
          <Row>
            <Button look="quiet" onPress={() => append({ fromDay: '', extension: '', flexion: '' })}>
              <Plus size={18} aria-hidden /> {t('order.addPhase')}
            </Button>
          </Row>
        </Stack>
      )}
      {heights.length > 0 && (
        <Controller
          control={control}
          name="height"
          render={({ field }) => (
            <Choice
              label={t('order.height')}
              options={[
                ...heights.map((value) => ({ value, label: named('heights', value) })),
                { value: 'unsaid', label: t('order.heightUnsaid') },
              ]}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      )}
      <Row $align="flex-start" $gap={24}>
        <Controller
          control={control}
          name="protective"
          rules={{ required: t('order.needed') }}
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
          rules={{ required: t('order.needed') }}
          render={({ field, fieldState }) => (
            <Stack $gap={4}>
              <Choice
                label={t('order.trouble')}
                options={(['keep-on', 'take-off'] as const).map((value) => ({
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
      {formState.errors.root && <Notice tone="stop">{formState.errors.root.message}</Notice>}
      <Row>
        <Button look="main" type="submit" isDisabled={saving}>
          {t('order.take')}
        </Button>
        {before && (
          <Button
            look="quiet"
            onPress={() => {
              setDraft(begun);
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
