import { partNamed } from '@estribo/core/brace';
import { boundsOf } from '@estribo/core/logbook';
import { girthAtStrap, strapPressure, tensionsCompared } from '@estribo/core/strapping';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { InstrumentLine } from '../instruments/instrument-line';
import { useInstrument } from '../instruments/use-instrument';
import { t } from '../messages';
import { partName } from '../messages/fitting';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Fold } from '../parts/fold';
import { fixed, formatNumber, formatReading } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { Why } from '../parts/why';
import { useBracedBody } from '../shaping/on-body';

/** What a strap pulls with, and what that is as pressure under it: for those who have a gauge, or want to compare. */
export function StrapPull({ part }: { part: string }) {
  return (
    <Fold title={t('strapping.pullTitle')}>
      <Pull part={part} />
    </Fold>
  );
}

function Pull({ part: id }: { part: string }) {
  const { state, unit, write } = useWork();
  const { body } = useBracedBody();
  const instrument = useInstrument('gauge', { case: state.case, of: id, side: state.side });
  const [typed, type] = useDraft(`${state.case}-tension-${id}`, '');
  const [girth, setGirth] = useDraft(`${state.case}-strap-girth-${id}`, '');
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const strap = partNamed(state.parts, id);
  if (strap?.kind !== 'strap') return null;
  const drawn = girthAtStrap(body, strap);
  const taped = girth.trim() === '' ? undefined : readQuantity(girth, 'length', unit);
  const around = taped && 'value' in taped && taped.value > 50 ? taped.value : drawn;
  const { tensions } = state.strapping;
  const newtons = tensions[id];
  const pressure = newtons !== undefined && around ? strapPressure(newtons, around, strap.width) : undefined;
  const compared = tensionsCompared(tensions);
  const take = (value: number, from: 'typed' | 'gauge') => {
    const outside = boundsProblem(
      t('strapping.tension'),
      value,
      boundsOf('strap.tension', 'newtons'),
      (bound) => `${bound} N`,
    );
    if (outside || value <= 0) return setProblem(outside ?? t('strapping.tensionOver0'));
    void save(() =>
      write('strap.tension', 'strap', { part: id, newtons: Math.round(value * 10) / 10, from }).then(() =>
        type(''),
      ),
    );
  };
  const takeTyped = () => {
    const read = readQuantity(typed, 'count', unit);
    if ('problem' in read) return setProblem(read.problem);
    take(read.value, 'typed');
  };
  return (
    <Stack $gap={8}>
      <Row $align="flex-end">
        <ReadingField
          small
          label={t('strapping.tension')}
          kind="count"
          unit={unit}
          sign="N"
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
          }}
          onEnter={takeTyped}
          problem={problem}
        />
        <ReadingField
          small
          label={t('strapping.girthThere')}
          kind="length"
          unit={unit}
          sign={unit}
          value={girth}
          onChange={setGirth}
          {...(drawn ? { placeholder: formatNumber(drawn, 'mm', unit) } : {})}
        />
        <Button onPress={takeTyped} isDisabled={saving}>
          {t('measuring.take')}
        </Button>
      </Row>
      <InstrumentLine
        kind="gauge"
        instrument={instrument}
        unit="newtons"
        onTake={() => {
          const taken = instrument.take();
          if (taken) take(taken.value, 'gauge');
        }}
      />
      {pressure && (
        <p>
          <b>
            {t('strapping.pressure', {
              mmHg: fixed(pressure.mmHg, 0),
              kpa: fixed(pressure.kpa, 1),
            })}
          </b>{' '}
          {t('strapping.pressureRange', { from: fixed(pressure.from, 0), to: fixed(pressure.to, 0) })}
        </p>
      )}
      {compared.mean !== undefined &&
        (compared.off.length > 0 ? (
          <Notice tone="caution">
            {t('strapping.pullOff', {
              straps: compared.off
                .map(({ part, share }) =>
                  t(share > 0 ? 'strapping.pullMore' : 'strapping.pullLess', {
                    strap: partName(state.programme, part),
                    percent: Math.round(Math.abs(share) * 100),
                  }),
                )
                .join('; '),
            })}
          </Notice>
        ) : (
          <Soft>{t('strapping.pullAlike', { mean: fixed(compared.mean, 0) })}</Soft>
        ))}
      {pressure && (
        <Why
          rows={[
            [
              t('strapping.pressureFrom'),
              t('strapping.pressureFromText', {
                tension: fixed(newtons!, 1),
                girth: formatReading(around!, 'mm', unit),
                width: formatReading(strap.width, 'mm', unit),
                drawn: taped && 'value' in taped ? t('strapping.girthTaped') : t('strapping.girthDrawn'),
              }),
            ],
            [t('common.source'), t('strapping.pressureSource')],
          ]}
        />
      )}
    </Stack>
  );
}
