import { boundsOf, wantedOf, type MadeSetting } from '@estribo/core/logbook';
import { signedAngle } from '@estribo/core/anatomy';
import { phaseInForce } from '@estribo/core/order';
import { judgeSetting, placesOf, type Setting, type Wanted } from '@estribo/core/setting';
import type { LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { color, narrow, size } from '../app/tokens';
import { useMay, useWork } from '../case/case-context';
import { named, t } from '../messages';
import { settingWords } from '../messages/fitting';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { degrees, printAngle, printNumber, signed } from '../parts/print';
import { ReadingField, readQuantity, type Quantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { printSetting } from './print-setting';

const Line = styled.li<{ $state: 'open' | 'right' | 'wrong' }>`
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, auto);
  gap: 6px 16px;
  align-items: center;
  padding: 8px 12px;
  border: 1px solid ${color('line')};
  border-left: 4px solid
    ${({ $state }) => color($state === 'wrong' ? 'madder' : $state === 'right' ? 'moss' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & > :nth-child(n + 3) {
    grid-column: 1 / -1;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Where a setting is made: before it goes on, while it goes on, at a review. */
type SettingStage = 'set' | 'strap' | 'review';

/**
 * Everything that is set beside stops: what it should be, what it was set to, whether both of a pair agree.
 * @param only one of them, where a step asks for it
 */
export function SettingsWork({ only, stage = 'set' }: { only?: string; stage?: SettingStage }) {
  const { state } = useWork();
  // what is set while it goes on is set there
  const made = state.setting.made.filter(({ setting }) =>
    only === undefined ? setting.made !== 'at-step' : setting.id === only,
  );
  if (made.length === 0) return null;
  return (
    <Stack $gap={8} as="ul">
      {made.map((one) => (
        <SettingLine key={one.setting.id} one={one} stage={stage} />
      ))}
    </Stack>
  );
}

/** What a setting's number is typed as. */
const quantityOf: Record<Exclude<Setting['kind'], 'fitted'>, Quantity> = {
  lock: 'degrees',
  length: 'length',
  mark: 'count',
  angle: 'degrees',
  fill: 'count',
  pieces: 'count',
};

function printWanted(setting: Setting, wanted: Wanted, unit: LengthUnit): string {
  if (setting.kind === 'fitted')
    return t(wanted !== 'open' && wanted.from === 1 ? 'setting.isIn' : 'setting.leftOut').toLowerCase();
  if (wanted === 'open') return t('setting.lockOpen');
  const { from, to } = wanted;
  return from === to
    ? printSetting(setting, from, unit)
    : t('setting.range', { from: printSetting(setting, from, unit), to: printSetting(setting, to, unit) });
}

function SettingLine({ one: { setting, made }, stage }: { one: MadeSetting; stage: SettingStage }) {
  const { state, today, unit, write } = useWork();
  const mayNow = useMay(stage);
  const words = settingWords(state.programme, setting.id);
  const wanted = wantedOf(setting, state, today);
  // by what is wanted today: an order of another phase makes what was right yesterday wrong
  const judged = judgeSetting(setting, made, wanted);
  const [saving, save] = useSaving();
  const may = mayNow(setting.by === 'orthotist' ? 'setting.write' : 'strapping.write');
  return (
    <Line $state={judged.state}>
      <div>
        <b>{words.name}</b>
        <Soft style={{ fontSize: size.small }}>
          {[
            words.how,
            wanted === undefined
              ? ''
              : t('setting.wanted', {
                  value: [words.unit, printWanted(setting, wanted, unit)].filter(Boolean).join(' '),
                }),
            setting.kind === 'fill' && setting.everyDays
              ? t('setting.everyDays', { count: setting.everyDays })
              : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
      </div>
      {!may ? (
        <b>
          {setting.kind === 'fitted'
            ? made?.fitted === undefined
              ? ''
              : t(made.fitted ? 'setting.isIn' : 'setting.leftOut')
            : setting.kind === 'lock' && made?.fitted === false
              ? t('setting.lockOpen')
              : placesOf(setting)
                  .flatMap((place) => {
                    const value = made?.values?.[place];
                    return value === undefined ? [] : [printSetting(setting, value, unit)];
                  })
                  .join(' / ')}
        </b>
      ) : setting.kind === 'lock' ? (
        <Lock setting={setting} made={made} name={words.name} stage={stage} />
      ) : setting.kind === 'fitted' ? (
        <Row $gap={8}>
          {[true, false].map((fitted) => (
            <Button
              key={String(fitted)}
              look={made?.fitted === fitted ? 'main' : 'second'}
              aria-pressed={made?.fitted === fitted}
              aria-label={`${words.name}: ${t(fitted ? 'setting.isIn' : 'setting.leftOut')}`}
              isDisabled={saving}
              onPress={() =>
                made?.fitted !== fitted &&
                void save(() => write('set.made', stage, { setting: setting.id, fitted }))
              }
            >
              {t(fitted ? 'setting.isIn' : 'setting.leftOut')}
            </Button>
          ))}
        </Row>
      ) : (
        <Numbers
          key={made?.entry ?? 'open'}
          setting={setting}
          made={made}
          stage={stage}
          kind={quantityOf[setting.kind]}
          words={words}
        />
      )}
      {judged.state === 'wrong' && (
        <p role="alert" style={{ color: color('madder'), fontWeight: 700 }}>
          {t(`setting.wrong.${judged.why}`, {
            // what differs is an amount and lies towards no end
            by:
              judged.why === 'not-locked' || judged.why === 'not-ordered' || !('joint' in setting)
                ? printSetting(setting, judged.by, unit)
                : degrees(judged.by),
          })}
        </p>
      )}
      {words.caution && <Notice tone="caution">{words.caution}</Notice>}
    </Line>
  );
}

/** A lock: open, or at one of the angles that the hardware has, both of a pair at once. */
function Lock({
  setting,
  made,
  name,
  stage,
}: {
  setting: Extract<Setting, { kind: 'lock' }>;
  made: MadeSetting['made'];
  name: string;
  stage: SettingStage;
}) {
  const { state, today, write } = useWork();
  const [saving, save] = useSaving();
  const motion = { joint: setting.joint, plane: 'sagittal' as const };
  const angles = state.model.hinge?.lock ?? [];
  const order = state.order?.order;
  const lock = order && phaseInForce(order, today)?.phase.locks?.find(({ joint }) => joint === setting.joint);
  const ordered = lock && signedAngle(motion, lock.at);
  const now =
    made?.fitted === false ? 'open' : made?.values ? String(Object.values(made.values)[0]) : undefined;
  const take = (to: string) =>
    void save(() =>
      write('set.made', stage, {
        setting: setting.id,
        ...(to === 'open'
          ? { fitted: false }
          : { values: setting.places.map((place) => ({ place, value: Number(to) })) }),
      }),
    );
  return (
    <Stack $gap={4}>
      <Row $gap={6}>
        {['open', ...angles.map(String)].map((to) => (
          <Button
            key={to}
            look={now === to ? 'main' : 'second'}
            aria-pressed={now === to}
            aria-label={`${name}: ${to === 'open' ? t('setting.lockOpen') : printAngle(motion, Number(to))}`}
            isDisabled={saving}
            onPress={() => now !== to && take(to)}
          >
            {to === 'open' ? t('setting.lockOpen') : printAngle(motion, Number(to))}
          </Button>
        ))}
      </Row>
      {lock && <Soft>{t('setting.lockWhenOrdered', { when: named('lockWhen', lock.when) })}</Soft>}
      {ordered !== undefined && !angles.includes(ordered) && (
        <Notice tone="caution">{t('setting.lockCannot', { angle: printAngle(motion, ordered) })}</Notice>
      )}
    </Stack>
  );
}

/** The numbers of a setting, one for each of its places, taken together: a pair is a pair. */
function Numbers({
  setting,
  made,
  stage,
  kind,
  words,
}: {
  setting: Setting;
  made: MadeSetting['made'];
  stage: SettingStage;
  kind: Quantity;
  words: ReturnType<typeof settingWords>;
}) {
  const { state, unit, write } = useWork();
  const places = placesOf(setting);
  const found = (place: string) => {
    const value = made?.values?.[place];
    return value === undefined
      ? ''
      : setting.kind === 'length'
        ? printNumber(value, 'mm', unit)
        : signed(value);
  };
  // only what was typed is kept: what was found is printed in the unit of the moment
  const [typed, type] = useDraft<Record<string, string>>(`${state.case}-set-${setting.id}`, {});
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
        const whole = setting.kind === 'mark' || setting.kind === 'fill' || setting.kind === 'pieces';
        const problem = boundsProblem(nameOf(place), value.value, { ...bounds, whole }, (bound) =>
          printSetting(setting, bound, unit),
        );
        return problem ? { place, problem } : { place, value: value.value };
      },
    );
    const wrong = read.flatMap((one) => ('problem' in one ? [[one.place, one.problem] as const] : []));
    if (wrong.length > 0) return setProblems(Object.fromEntries(wrong));
    const values = read.flatMap((one) => ('value' in one ? [{ place: one.place, value: one.value }] : []));
    if (values.every(({ place }) => typed[place] === undefined || typed[place] === found(place))) return;
    void save(() => write('set.made', stage, { setting: setting.id, values }).then(() => type({})));
  };
  return (
    <Row $gap={8} $align="flex-end">
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
          sign={setting.kind === 'length' ? unit : setting.kind === 'angle' ? '°' : (words.unit ?? '')}
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
