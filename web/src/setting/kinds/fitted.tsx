import type { Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { Button } from '../../parts/button';
import { Row } from '../../parts/layout';
import { signed } from '../../parts/format';
import { useSaving } from '../../parts/use-saving';
import { useMade } from '../use-made';
import type { PieceProps, SettingScreen } from './piece';

type FittedSetting = Extract<Setting, { kind: 'fitted' }>;

/** A part that is in or left out. */
function InOrOut({ setting, made, words, stage }: PieceProps<FittedSetting>) {
  const take = useMade(setting, stage);
  const [saving, save] = useSaving();
  return (
    <Row $gap={8}>
      {[true, false].map((fitted) => (
        <Button
          key={String(fitted)}
          look={made?.fitted === fitted ? 'main' : 'second'}
          aria-pressed={made?.fitted === fitted}
          aria-label={`${words.name}: ${t(fitted ? 'setting.isIn' : 'setting.leftOut')}`}
          isDisabled={saving}
          onPress={() => made?.fitted !== fitted && void save(() => take({ fitted }))}
        >
          {t(fitted ? 'setting.isIn' : 'setting.leftOut')}
        </Button>
      ))}
    </Row>
  );
}

export const fitted: SettingScreen<FittedSetting> = {
  // wanted in is 1, wanted out is 0
  print: (_, value) =>
    value === 0 || value === 1 ? t(value ? 'setting.isIn' : 'setting.leftOut').toLowerCase() : signed(value),
  inOrOut: { in: 'setting.isIn', out: 'setting.leftOut' },
  Piece: InOrOut,
};

/** A panel is in or left out the same way, and may be ordered so. */
export const panel = fitted as unknown as SettingScreen<Extract<Setting, { kind: 'panel' }>>;
