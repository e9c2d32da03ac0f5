import { reliefOf } from '@estribo/core/reviewing';
import { formatTurn } from '@estribo/core/setting';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { formatDay, signed } from '../parts/format';
import { RuledTable, Soft, Stack } from '../parts/layout';

const Table = styled(RuledTable)`
  font-size: ${size.small};
  font-variant-numeric: tabular-nums;
  & th {
    font-weight: 400;
    color: ${color('soft')};
  }
`;

/** Pain and hours at the reviews against where a correction stood: counts, and no verdict from fewer than five. */
export function ReliefTable() {
  const { state } = useWork();
  const corrected = state.setting.made.find(({ ledger }) => ledger && ledger.length > 0);
  const relief = corrected && reliefOf(state.reviewing.visits, corrected.ledger!);
  if (!relief || relief.visits.length === 0) return null;
  return (
    <Stack $gap={6}>
      <h2>{t('relief.title')}</h2>
      <Table>
        <thead>
          <tr>
            {(['day', 'stood', 'pain', 'hours'] as const).map((column) => (
              <th key={column} scope="col">
                {t(`relief.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {relief.visits.map(({ day, pain, hours, stands }, i) => (
            <tr key={`${day}-${i}`}>
              <td>{formatDay(day)}</td>
              <td>{Object.values(stands).map(formatTurn).join(' / ') || '0'}</td>
              <td>{pain}</td>
              <td>{hours === undefined ? '' : signed(hours)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>
        {t('relief.counts', {
          less: relief.less,
          same: relief.same,
          more: relief.more,
          compared: relief.compared,
        })}{' '}
        {relief.verdict ? t(`relief.verdict.${relief.verdict}`) : t('relief.tooFew')} {t('relief.notCause')}
      </Soft>
    </Stack>
  );
}
