import { perForce, threePointLoads } from '@estribo/core/load';
import type { Setting } from '@estribo/core/setting';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { InstrumentLine } from '../instruments/instrument-line';
import { useInstrument } from '../instruments/use-instrument';
import { size } from '../look/tokens';
import { t } from '../messages';
import { Fold } from '../parts/fold';
import { fixed, formatDistance, formatNumber } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { Why } from '../parts/why';

type Correction = Extract<Setting, { kind: 'correction' }>;

/**
 * What a force at the pad does at the cuffs: an estimate, where the model states where its forces act. From a gauge's
 * reading; without one, per 10 N.
 */
export function ThreePointEstimate(props: {
  setting: Correction;
  forces: NonNullable<Correction['forces']>;
}) {
  return (
    <Fold title={t('setting.estimate')}>
      <Estimate {...props} />
    </Fold>
  );
}

function Estimate({ setting, forces }: Parameters<typeof ThreePointEstimate>[0]) {
  const { state, unit } = useWork();
  const instrument = useInstrument('gauge', { case: state.case, of: setting.id, side: state.side });
  const key = `${state.case}-force-${setting.id}`;
  const [typed, type] = useDraft<Record<'force' | 'upper' | 'lower', string>>(key, {
    force: '',
    upper: '',
    lower: '',
  });
  const read = (text: string, kind: 'count' | 'length') => {
    const value = text.trim() === '' ? undefined : readQuantity(text, kind, unit);
    return value && 'value' in value ? value.value : undefined;
  };
  const [upper, lower] = [
    read(typed.upper, 'length') ?? forces.upper,
    read(typed.lower, 'length') ?? forces.lower,
  ];
  const gauge = read(typed.force, 'count');
  const loads =
    upper && lower
      ? threePointLoads({ force: gauge ?? perForce, upper, lower, padArea: forces.padArea })
      : undefined;
  const newtons = (value: number) => `${fixed(value, 1)} N`;
  return (
    <Stack $gap={8}>
      <Row $align="flex-end">
        {(
          [
            ['force', 'count', 'N'],
            ['upper', 'length', unit],
            ['lower', 'length', unit],
          ] as const
        ).map(([name, kind, sign]) => (
          <ReadingField
            key={name}
            small
            label={t(`setting.estimateOf.${name}`)}
            kind={kind}
            unit={unit}
            sign={sign}
            value={typed[name]}
            onChange={(text) => type({ ...typed, [name]: text })}
          />
        ))}
      </Row>
      <InstrumentLine
        kind="gauge"
        instrument={instrument}
        unit="newtons"
        onTake={() => {
          const taken = instrument.take();
          if (taken) type({ ...typed, force: formatNumber(taken.value, 'newtons', unit) });
        }}
      />
      {loads && (
        <p style={{ fontSize: size.text }}>
          <b>
            {t('setting.estimateSays', { per: gauge === undefined ? t('setting.perTen') : newtons(gauge) })}
          </b>{' '}
          {t('setting.estimateLoads', {
            upper: newtons(loads.atUpper),
            lower: newtons(loads.atLower),
            moment: fixed(loads.moment, 2),
          })}{' '}
          {loads.pressure !== undefined &&
            t('setting.estimatePressure', { pressure: fixed(loads.pressure / 1000, 1) })}
        </p>
      )}
      <Soft>{t('setting.notADose')}</Soft>
      <Why
        rows={[
          [
            t('setting.estimateAssumes'),
            t('setting.estimateAssumesText', {
              upper: formatDistance(upper ?? 0, unit),
              lower: formatDistance(lower ?? 0, unit),
            }),
          ],
          [t('common.source'), t('setting.estimateSource')],
        ]}
      />
    </Stack>
  );
}
