import type { Setting } from '@estribo/core/setting';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { size } from '../look/tokens';
import { named, t } from '../messages';
import type { settingWords } from '../messages/fitting';
import { formatPosture } from '../parts/format-posture';
import { formatSetting } from './format-setting';

const List = styled.ol`
  margin: 4px 0 0;
  padding-left: 20px;
  font-size: ${size.small};
`;

/** How a setting is made, move after move: posture, places in their order, to what, how much at a time, what follows. */
export function Moves({ setting, words }: { setting: Setting; words: ReturnType<typeof settingWords> }) {
  const { unit } = useWork();
  const { moves = [] } = setting;
  if (moves.length === 0) return null;
  const placeName = (place: string) => words.places?.[place] ?? named('settingPlace', place);
  const said = ({ goal, posture, order, amount, then }: (typeof moves)[number]): string =>
    [
      formatPosture(posture),
      order?.map(placeName).join(t('setting.thenPlace')) ?? '',
      t(`setting.goal.${goal.kind}`, {
        value: goal.kind === 'value' ? formatSetting(setting, goal.value, unit) : '',
        from: goal.kind === 'range' ? formatSetting(setting, goal.from, unit) : '',
        to: goal.kind === 'range' ? formatSetting(setting, goal.to, unit) : '',
        observed: goal.kind === 'until' ? (words.observed?.[goal.observed] ?? goal.observed) : '',
      }),
      amount === undefined
        ? ''
        : amount === 'not-stated'
          ? t('setting.amountNotStated')
          : t('setting.amount', { amount: formatSetting(setting, amount, unit) }),
      then ? t(`setting.then.${then}`) : '',
    ]
      .filter(Boolean)
      .join('; ');
  return (
    <List>
      {moves.map((move, i) => (
        <li key={i}>{said(move)}</li>
      ))}
    </List>
  );
}
