import { barTolerance, type BendChoice } from '@estribo/core/shaping';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { formatFine } from '../parts/format';

const Cards = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(86px, 1fr));
  gap: 10px;
`;

const Card = styled(ToggleButton)`
  display: flex;
  flex-direction: column;
  gap: 8px;
  text-align: left;
  padding: 10px;
  min-height: 44px;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
  color: ${color('ink')};
  cursor: pointer;
  &[data-selected] {
    border-color: ${color('river')};
    background: ${color('riverWash')};
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline: 3px solid ${color('river')};
    outline-offset: 2px;
  }
`;

const Left = styled.span<{ $share: number; $within: boolean }>`
  display: block;
  height: 6px;
  border-radius: 3px;
  background: linear-gradient(
    to right,
    ${({ $within }) => color($within ? 'moss' : 'ochre')} ${({ $share }) => $share * 100}%,
    ${color('band')} 0
  );
`;

const Gap = styled.span`
  font-size: ${size.small};
  font-weight: 400;
`;

/** Numbers of bends that are offered beside each other. */
const mostShown = 6;

/** What each number of bends leaves of the gap: one more buys so much. The user picks. */
export function BendChoices({
  choices,
  chosen,
  onChoose,
}: {
  choices: readonly BendChoice[];
  /** bends of the one that is looked at */
  chosen: number | undefined;
  onChoose: (bends: number) => void;
}) {
  const { unit } = useWork();
  // a bar that takes many bends is not asked about the first few
  const shown = choices.slice(-mostShown);
  const most = Math.max(...shown.map(({ gap }) => gap));
  return (
    <Cards
      aria-label={t('shaping.howManyBends')}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={chosen === undefined ? [] : [String(chosen)]}
      onSelectionChange={(keys) => {
        const [key] = [...keys];
        if (key !== undefined) onChoose(Number(key));
      }}
    >
      {shown.map(({ bends, gap }) => (
        <Card key={bends.length} id={String(bends.length)}>
          <span>{t('shaping.bendsCount', { count: bends.length })}</span>
          <Left $share={most === 0 ? 0 : gap / most} $within={gap <= barTolerance} aria-hidden />
          <Gap>{t('shaping.gapLeft', { gap: formatFine(gap, 'mm', unit) })}</Gap>
        </Card>
      ))}
    </Cards>
  );
}
