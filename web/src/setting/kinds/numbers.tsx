import { endsOf } from '@estribo/core/anatomy';
import { boundsOf } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { isWhole, placesOf, wantedOn, type Setting, type MadeSetting } from '@estribo/core/setting';
import { useState } from 'react';
import { useDraft } from '../../api/draft';
import { useWork } from '../../case/case-context';
import { useTyped } from '../../case/typed-here';
import { named, t } from '../../messages';
import type { settingWords } from '../../messages/fitting';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Row } from '../../parts/layout';
import { formatNumber, signed } from '../../parts/format';
import { ReadingField, readQuantity, type Quantity } from '../../parts/reading-field';
import { useSaving } from '../../parts/use-saving';
import { useMade } from '../use-made';
import { withUnit, type PieceProps, type SettingScreen, type SettingStage } from './piece';

/** What stands behind the number: the unit of the moment for a length, else the setting's own. */
const signOf = (setting: Setting, kind: Quantity, unit: LengthUnit, own: string | undefined): string =>
  kind === 'length'
    ? unit
    : setting.kind === 'angle'
      ? '°'
      : (own ?? ('unit' in setting ? t(`setting.unit.${setting.unit}`) : ''));

/** The numbers of a setting, one for each of its places, taken together: a pair is a pair. */
export function Numbers({
  setting,
  made,
  stage,
  kind,
  print,
  words,
  start = {},
}: {
  setting: Setting;
  made: MadeSetting['made'];
  stage: SettingStage;
  kind: Quantity;
  print: SettingScreen['print'];
  words: ReturnType<typeof settingWords>;
  start?: PieceProps<Setting>['start'];
}) {
  const { state, today, unit } = useWork();
  const record = useMade(setting, stage);
  const places = placesOf(setting);
  const found = (place: string) => {
    const value = made === undefined ? start[place] : made.values?.[place];
    return value === undefined || value === null
      ? ''
      : kind === 'length'
        ? formatNumber(value, 'mm', unit)
        : signed(value);
  };
  // only what was typed is kept: what was found is printed in the unit of the moment
  const [typed, type] = useDraft<Record<string, string>>(`${state.case}-set-${setting.id}`, {});
  useTyped(
    words.name,
    places.some((place) => typed[place] !== undefined && typed[place] !== found(place)),
  );
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [saving, save] = useSaving();
  const nameOf = (place: string) =>
    places.length === 1
      ? words.name
      : `${words.name}: ${words.places?.[place] ?? named('settingPlace', place)}`;
  const take = () => {
    const read = places.map(
      (place): { place: string; problem: string } | { place: string; value: number } => {
        const text = typed[place] ?? found(place);
        const value = readQuantity(text, kind, unit);
        if ('problem' in value) return { place, problem: value.problem };
        const bounds = boundsOf('set.made', 'values.value');
        const whole = isWhole(setting);
        const problem = boundsProblem(nameOf(place), value.value, { ...bounds, whole }, (bound) =>
          print(setting, bound, unit),
        );
        return problem ? { place, problem } : { place, value: value.value };
      },
    );
    const wrong = read.flatMap((one) => ('problem' in one ? [[one.place, one.problem] as const] : []));
    if (wrong.length > 0) return setProblems(Object.fromEntries(wrong));
    const values = read.flatMap((one) => ('value' in one ? [[one.place, one.value] as const] : []));
    if (
      made !== undefined &&
      values.every(([place]) => typed[place] === undefined || typed[place] === found(place))
    )
      return;
    void save(() => record({ values: Object.fromEntries(values) }).then(() => type({})));
  };
  const wanted = wantedOn(setting, state, today);
  // one number is wanted at every place: a touch is enough
  const asWanted =
    wanted !== undefined && wanted !== 'open' && wanted.from === wanted.to && setting.kind !== 'lift'
      ? wanted.from
      : undefined;
  const isAsWanted = asWanted !== undefined && places.every((place) => made?.values?.[place] === asWanted);
  return (
    <Row $gap={8} $align="flex-end">
      {asWanted !== undefined && !isAsWanted && (
        <Button
          isDisabled={saving}
          onPress={() =>
            void save(() =>
              record({ values: Object.fromEntries(places.map((place) => [place, asWanted])) }).then(() =>
                type({}),
              ),
            )
          }
          aria-label={t('setting.asWanted', { what: words.name, value: print(setting, asWanted, unit) })}
        >
          {withUnit(setting, words.unit, print(setting, asWanted, unit))}
        </Button>
      )}
      {places.map((place, i) => (
        <ReadingField
          key={place}
          small
          hideLabel={places.length === 1}
          label={
            places.length === 1 ? nameOf(place) : (words.places?.[place] ?? named('settingPlace', place))
          }
          kind={kind}
          unit={unit}
          minusSaid={
            'joint' in setting
              ? (amount) =>
                  `${amount} ${named('motionEnd', endsOf({ joint: setting.joint, plane: 'sagittal' })[0])}`
              : undefined
          }
          sign={signOf(setting, kind, unit, words.unit)}
          value={typed[place] ?? found(place)}
          onChange={(text) => {
            type({ ...typed, [place]: text });
            setProblems({});
          }}
          {...(i === places.length - 1 ? { onEnter: take } : {})}
          problem={problems[place]}
        />
      ))}
      <Button onPress={take} isDisabled={saving} aria-label={`${words.name}: ${t('measuring.take')}`}>
        {t('measuring.take')}
      </Button>
    </Row>
  );
}

/** The piece of a kind that is made by numbers of one quantity. */
export const numbersOf = <S extends Setting>(kind: Quantity, print: SettingScreen<S>['print']) =>
  function NumbersPiece({ setting, made, words, stage, start }: PieceProps<S>) {
    return (
      <Numbers
        key={made?.entry ?? 'open'}
        start={start}
        setting={setting}
        made={made}
        stage={stage}
        kind={kind}
        print={print as SettingScreen['print']}
        words={words}
      />
    );
  };
