import type { ChartChange } from '@estribo/core/exchange';
import { color, size } from '../look/tokens';
import styled from 'styled-components';
import { named, t } from '../messages';
import { checkName } from '../messages/fitting';
import { en } from '../messages/en';
import { RuledTable } from '../parts/layout';

const Changes = styled(RuledTable)`
  font-size: ${size.small};
`;

/** What a row is about, in words where the screens have them. */
const about = ({ states, reading, size: name, row, column }: ChartChange): string =>
  [
    states,
    reading in en.steps ? named('steps', reading) : reading,
    checkName(name),
    [row, column].filter(Boolean).join(' × '),
  ]
    .filter(Boolean)
    .join(', ');

/** What a new version states otherwise, row by row. */
export function ChartChanges({ changes }: { changes: readonly ChartChange[] }) {
  return (
    <Changes>
      <thead>
        <tr>
          <th scope="col">{t('catalogue.states')}</th>
          <th scope="col">{t('catalogue.was')}</th>
          <th scope="col">{t('catalogue.willBe')}</th>
        </tr>
      </thead>
      <tbody>
        {changes.map((change, i) => (
          <tr key={i}>
            <th scope="row" style={{ fontWeight: 400 }}>
              {about(change)}
            </th>
            <td>{change.before ?? '–'}</td>
            <td>{change.now ?? <b style={{ color: color('madder') }}>{t('catalogue.gone')}</b>}</td>
          </tr>
        ))}
      </tbody>
    </Changes>
  );
}
