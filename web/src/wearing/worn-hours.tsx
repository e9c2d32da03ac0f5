import { isDoubtful, usualWornRule, wornRuleProblems, type WornRule } from '@estribo/core/wearing';
import { useEffect, useRef, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useMutation } from '@tanstack/react-query';
import { sensorFile } from '@estribo/core/answers';
import { ask } from '../api/http';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Fold } from '../parts/fold';
import { formatDay, formatMinutes } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { Why } from '../parts/why';
import { newWornWorker } from './new-worn-worker';
import type { WornAnswer, WornDayRead } from './read-worn';

type Reading =
  | { step: 'none' }
  | { step: 'running'; share: number }
  | { step: 'problem'; said: string }
  | { step: 'done'; from: 'file' | 'sensor'; rule: WornRule; days: WornDayRead[] };

const fields = ['on', 'off', 'tooHot', 'gap'] as const;

/** Hours worn, read from a logged temperature: a file, or the simulated sensor that ships. */
export function WornHours() {
  return (
    <Fold title={t('wearing.hoursTitle')}>
      <Hours />
    </Fold>
  );
}

function Hours() {
  const { state, zone, unit, write } = useWork();
  const mayWrite = useMay('wear')('wearing.write');
  const [typed, type] = useDraft<Record<(typeof fields)[number], string>>(`${state.case}-worn-rule`, {
    on: '',
    off: '',
    tooHot: '',
    gap: '',
  });
  const [reading, setReading] = useState<Reading>({ step: 'none' });
  const worker = useRef<Worker>(undefined);
  useEffect(() => () => worker.current?.terminate(), []);
  const [saving, save] = useSaving();
  const ruled = readRule(typed, unit);
  const begin = (text: string, from: 'file' | 'sensor') => {
    if (ruled === undefined) return setReading({ step: 'problem', said: t('wearing.ruleWrong') });
    worker.current?.terminate();
    const one = newWornWorker();
    worker.current = one;
    setReading({ step: 'running', share: 0 });
    one.addEventListener('message', ({ data }: MessageEvent<WornAnswer>) => {
      if ('share' in data) setReading({ step: 'running', share: data.share });
      else if ('problem' in data)
        setReading({
          step: 'problem',
          said: t(`wearing.fileProblem.${data.problem.problem}`, { line: data.problem.line }),
        });
      else setReading({ step: 'done', from, rule: ruled, days: data.days });
    });
    one.addEventListener('error', () => setReading({ step: 'problem', said: t('wearing.readFailed') }));
    one.postMessage({ text, zone, rule: ruled });
  };
  const sensor = useMutation({
    mutationFn: () => ask(sensorFile, `/cases/${state.case}/sensor`),
    onSuccess: ({ csv }) => begin(csv, 'sensor'),
    onError: () => setReading({ step: 'problem', said: t('wearing.noSensor') }),
  });
  const total = reading.step === 'done' ? sum(reading.days) : undefined;
  return (
    <Stack $gap={10}>
      <Soft>{t('wearing.hoursHow')}</Soft>
      <Row $align="flex-end">
        {fields.map((name) => (
          <ReadingField
            key={name}
            small
            label={t(`wearing.rule.${name}`)}
            kind="count"
            unit={unit}
            sign={name === 'gap' ? 'min' : '°C'}
            value={typed[name]}
            placeholder={String(usualWornRule[name])}
            onChange={(text) => type({ ...typed, [name]: text })}
          />
        ))}
      </Row>
      {ruled === undefined && <Notice tone="stop">{t('wearing.ruleWrong')}</Notice>}
      {mayWrite && (
        <Row>
          <FileTrigger
            acceptedFileTypes={['.csv', 'text/csv', 'text/plain']}
            onSelect={(files) => {
              const file = files?.[0];
              if (file) void file.text().then((text) => begin(text, 'file'));
            }}
          >
            <Button isDisabled={ruled === undefined}>{t('wearing.openFile')}</Button>
          </FileTrigger>
          <Button isDisabled={ruled === undefined || sensor.isPending} onPress={() => sensor.mutate()}>
            {t('wearing.readSensor')}
          </Button>
          {reading.step === 'running' && (
            <Button
              look="quiet"
              onPress={() => {
                worker.current?.terminate();
                setReading({ step: 'none' });
              }}
            >
              {t('wearing.stopReading')}
            </Button>
          )}
        </Row>
      )}
      {reading.step === 'running' && (
        <p role="status">{t('wearing.isReading', { percent: Math.round(reading.share * 100) })}</p>
      )}
      {reading.step === 'problem' && (
        <Notice tone="stop" live>
          {reading.said}
        </Notice>
      )}
      {reading.step === 'done' && total && (
        <Stack $gap={8}>
          <p role="status">
            <b>{t('wearing.hoursFound', { count: reading.days.length })}</b>{' '}
            {t('wearing.hoursMean', {
              worn: formatMinutes(Math.round(total.worn / reading.days.length)),
              unknown: formatMinutes(Math.round(total.unknown)),
            })}
          </p>
          {total.between > 0 && (
            <Notice tone="caution">
              {t('wearing.betweenUnknown', {
                between: formatMinutes(Math.round(total.between)),
                off: reading.rule.off,
                on: reading.rule.on,
              })}
            </Notice>
          )}
          {reading.days.some(isDoubtful) && (
            <Notice tone="caution">
              {t('wearing.doubtful', {
                days: reading.days
                  .filter(isDoubtful)
                  .map(({ day }) => formatDay(day))
                  .join(', '),
              })}
            </Notice>
          )}
          {mayWrite && (
            <Row>
              <Button
                look="main"
                isDisabled={saving}
                onPress={() =>
                  void save(() =>
                    write('wear.read', 'wear', {
                      from: reading.from,
                      rule: reading.rule,
                      days: reading.days.map(({ day, worn, unknown }) => ({ day, worn, unknown })),
                    }).then(() => setReading({ step: 'none' })),
                  )
                }
              >
                {t('wearing.keepHours', { count: reading.days.length })}
              </Button>
            </Row>
          )}
          <Why
            rows={[
              [t('wearing.hoursFrom'), t('wearing.hoursFromText', { ...reading.rule })],
              [t('common.source'), t('wearing.hoursSource')],
            ]}
          />
        </Stack>
      )}
    </Stack>
  );
}

const sum = (days: readonly WornDayRead[]) =>
  days.reduce(
    (all, { worn, unknown, between }) => ({
      worn: all.worn + worn,
      unknown: all.unknown + unknown,
      between: all.between + between,
    }),
    { worn: 0, unknown: 0, between: 0 },
  );

/** The rule as it is typed; what is not typed is as usual. */
function readRule(
  typed: Record<(typeof fields)[number], string>,
  unit: Parameters<typeof readQuantity>[2],
): WornRule | undefined {
  const rule = { ...usualWornRule };
  for (const name of fields) {
    if (typed[name].trim() === '') continue;
    const value = readQuantity(typed[name], 'count', unit);
    if ('problem' in value) return undefined;
    rule[name] = value.value;
  }
  return wornRuleProblems(rule).length === 0 ? rule : undefined;
}
