import { perForce, threePointLoads } from '@estribo/core/load';
import type { Setting } from '@estribo/core/setting';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { size } from '../look/tokens';
import { t } from '../messages';
import { Fold } from '../parts/fold';
import { formatDistance } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { Why } from '../parts/why';

type Correction = Extract<Setting, { kind: 'correction' }>;

/**
 * What a force at the pad does at the cuffs: an estimate, where the model states where its forces act. From a gauge's
 * reading; without one, per 10 N.
 */
export function ThreePointEstimate({
  setting,
  forces,
}: {
  setting: Correction;
  forces: NonNullable<Correction['forces']>;
}) {
  const { state, unit } = useWork();
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
  const newtons = (value: number) => `${value.toFixed(1)} N`;
  return (
    <Fold title={t('setting.estimate')}>
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
        {loads && (
          <p style={{ fontSize: size.text }}>
            <b>
              {t('setting.estimateSays', { per: gauge === undefined ? t('setting.perTen') : newtons(gauge) })}
            </b>{' '}
            {t('setting.estimateLoads', {
              upper: newtons(loads.atUpper),
              lower: newtons(loads.atLower),
              moment: loads.moment.toFixed(2),
            })}{' '}
            {loads.pressure !== undefined &&
              t('setting.estimatePressure', { pressure: (loads.pressure / 1000).toFixed(1) })}
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
    </Fold>
  );
}
