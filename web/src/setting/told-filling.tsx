import { boundsOf } from '@estribo/core/logbook';
import { placesOf, type MadeSetting } from '@estribo/core/setting';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { formatDay, signed } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { saidHandedOver } from './hand-over';

const fields = ['strokes', 'days'] as const;
type Told = Record<(typeof fields)[number], string>;
const nothing: Told = { strokes: '', days: '' };

/** The air that patients put in alone, as they tell it at a review: how many strokes, how often, held against what they were given. */
export function ToldFillings() {
  const { state } = useWork();
  return state.setting.made.map((one) =>
    one.setting.kind === 'fill' && one.patient ? <ToldFilling key={one.setting.id} one={one} /> : null,
  );
}

function ToldFilling({ one: { setting, patient, made, flags } }: { one: MadeSetting }) {
  const { state, write } = useWork();
  const mayNow = useMay('review');
  const [typed, type] = useDraft<Told>(`${state.case}-told-${setting.id}`, nothing);
  const [problems, setProblems] = useState<Partial<Told>>({});
  const [saving, save] = useSaving();
  if (setting.kind !== 'fill' || !patient) return null;
  const names = { strokes: t('setting.airAtOnce'), days: t('setting.handDays') };
  const bounds = {
    strokes: { ...boundsOf('set.made', 'values.value'), least: 0, whole: true },
    days: { ...boundsOf('set.made', 'everyDays'), whole: true },
  };
  const take = () => {
    const read = fields.map((field) => {
      const found = readQuantity(typed[field], 'count', 'mm');
      const problem =
        'problem' in found
          ? found.problem
          : boundsProblem(names[field], found.value, bounds[field], (bound) => signed(bound));
      return { field, problem, value: 'value' in found ? found.value : NaN };
    });
    const wrong = read.filter(({ problem }) => problem);
    if (wrong.length > 0)
      return setProblems(Object.fromEntries(wrong.map(({ field, problem }) => [field, problem])));
    const [strokes, days] = read.map(({ value }) => value);
    void save(() =>
      write('set.made', 'review', {
        setting: setting.id,
        values: placesOf(setting).map((place) => ({ place, value: strokes! })),
        reported: true,
        everyDays: days!,
      }).then(() => type(nothing)),
    );
  };
  const every = made?.everyDays;
  return (
    <Stack $gap={6}>
      <h2>{t('setting.byPatientAlone', { what: settingWords(state.programme, setting.id).name })}</h2>
      <Soft>{saidHandedOver(setting, patient)}</Soft>
      {made && every !== undefined && (
        <Notice tone={flags.length > 0 ? 'caution' : 'good'}>
          {[
            t('setting.airToldNow', {
              day: formatDay(made.day),
              strokes: signed(Math.max(...Object.values(made.values ?? {}).map((value) => value ?? 0))),
              count: every,
            }),
            ...flags.map((flag) => t(`setting.flag.${flag}`)),
          ].join(' ')}
        </Notice>
      )}
      {mayNow('strapping.write') && (
        <>
          <Soft>{t('setting.airTold')}</Soft>
          <Row $align="flex-end">
            {fields.map((field) => (
              <ReadingField
                key={field}
                small
                label={names[field]}
                kind="count"
                unit="mm"
                sign=""
                value={typed[field]}
                onChange={(text) => {
                  type({ ...typed, [field]: text });
                  setProblems({});
                }}
                {...(field === 'days' ? { onEnter: take } : {})}
                problem={problems[field]}
              />
            ))}
            <Button isDisabled={saving} onPress={take}>
              {t('setting.takeTold')}
            </Button>
          </Row>
        </>
      )}
    </Stack>
  );
}
