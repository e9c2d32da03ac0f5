import { wantedOn, type Setting } from '@estribo/core/setting';
import { useState } from 'react';
import { useWork } from '../../case/case-context';
import { t } from '../../messages';
import { Button } from '../../parts/button';
import { Field } from '../../parts/field';
import { Row, Soft, Stack } from '../../parts/layout';
import { formatDay, signed } from '../../parts/format';
import { useSaving } from '../../parts/use-saving';
import { useMade } from '../use-made';
import type { PieceProps, SettingScreen } from './piece';

type FittedSetting = Extract<Setting, { kind: 'fitted' }>;
type PanelSetting = Extract<Setting, { kind: 'panel' }>;

/** A part that is in or left out; what is left over may be given to the patient. */
function InOrOut({ setting, made, words, stage }: PieceProps<FittedSetting | PanelSetting>) {
  const take = useMade(setting, stage);
  const [saving, save] = useSaving();
  const [because, setBecause] = useState<string>();
  const said = (fitted: boolean) =>
    (fitted ? words.in : words.out) ?? t(fitted ? 'setting.isIn' : 'setting.leftOut');
  const { state, today } = useWork();
  const wanted = wantedOn(setting, state, today);
  // stepping down waits for the phase that orders it, or for the prescriber's word, which is the reason
  const steppedDown = (fitted: boolean) =>
    setting.kind === 'panel' &&
    made?.fitted === true &&
    !fitted &&
    !(wanted !== undefined && wanted !== 'open' && wanted.from === 0);
  const press = (fitted: boolean) => {
    if (steppedDown(fitted) && because === undefined) return setBecause('');
    if (steppedDown(fitted) && because!.trim().length < 3) return;
    void save(() =>
      take({ fitted }, because?.trim() ? { because: because.trim() } : {}).then(() => setBecause(undefined)),
    );
  };
  return (
    <Stack $gap={6}>
      <Row $gap={8}>
        {[true, false].map((fitted) => (
          <Button
            key={String(fitted)}
            look={made?.fitted === fitted ? 'main' : 'second'}
            aria-pressed={made?.fitted === fitted}
            aria-label={`${words.name}: ${said(fitted)}`}
            isDisabled={saving}
            onPress={() => made?.fitted !== fitted && press(fitted)}
          >
            {said(fitted)}
          </Button>
        ))}
        {setting.kind === 'fitted' && !setting.must && made?.fitted === false && !made.given && (
          <Button
            look="quiet"
            aria-label={`${words.name}: ${t('setting.giveIt')}`}
            isDisabled={saving}
            onPress={() => void save(() => take({ fitted: false }, { given: true }))}
          >
            {t('setting.giveIt')}
          </Button>
        )}
      </Row>
      {made?.given && <Soft>{t('setting.given')}</Soft>}
      {made?.because && (
        <Soft>{t('setting.becauseOf', { day: formatDay(made.day), reason: made.because })}</Soft>
      )}
      {because !== undefined && (
        <Row $align="flex-end">
          <Field
            label={t('setting.steppedDownWhy')}
            value={because}
            onChange={setBecause}
            autoFocus
            maxLength={400}
          />
          <Button look="main" isDisabled={saving || because.trim().length < 3} onPress={() => press(false)}>
            {t('setting.stepDown')}
          </Button>
        </Row>
      )}
    </Stack>
  );
}

export const fitted: SettingScreen<FittedSetting> = {
  // wanted in is 1, wanted out is 0
  print: (_, value) =>
    value === 0 || value === 1 ? t(value ? 'setting.inside.isIn' : 'setting.inside.leftOut') : signed(value),
  inOrOut: { in: 'setting.isIn', out: 'setting.leftOut' },
  Piece: InOrOut as SettingScreen<FittedSetting>['Piece'],
};

/** A panel is in or left out the same way, and may be ordered so. */
export const panel = fitted as unknown as SettingScreen<Extract<Setting, { kind: 'panel' }>>;
