import { openForMaker, orderSheet, orderSheetCsv } from '@estribo/core/exchange';
import { Link, useParams } from 'react-router';
import { useCase } from '../case/use-case';
import { useToday } from '../api/clinic';
import { useUnit } from '../browser/preferences';
import { formatFinding } from '../findings/format-finding';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Row, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { formatDate, formatReading } from '../parts/format';
import { bodyPartSide } from '../parts/body-part-side';

const save = (name: string, type: string, text: string) => {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
};

/** What goes to the maker: every reading with its landmark, posture and uncertainty; printed, CSV or JSON. */
export default function OrderSheetPage() {
  const { caseId = '' } = useParams();
  const { open, missing, away } = useCase(caseId);
  const today = useToday();
  const [unit] = useUnit();
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  const { state, person } = open;
  const sheet = orderSheet(state, today);
  const name = `order-sheet-${sheet.model.id}-${today}`;
  return (
    <Paper>
      <Stack>
        <Row data-screen style={{ justifyContent: 'space-between' }}>
          <Link to={`/cases/${caseId}/size`}>{named('stages', 'size')}</Link>
          <Row>
            <Button look="main" onPress={() => print()}>
              {t('sheet.print')}
            </Button>
            <Button onPress={() => save(`${name}.csv`, 'text/csv', orderSheetCsv(sheet))}>CSV</Button>
            <Button onPress={() => save(`${name}.json`, 'application/json', JSON.stringify(sheet, null, 2))}>
              JSON
            </Button>
          </Row>
        </Row>
        <Stack $gap={2}>
          <h1>{t('sizing.sheet')}</h1>
          <Soft>
            {person ? `${person.givenName} ${person.familyName} · ` : ''}
            {bodyPartSide('bodyPart', sheet.side, state.programme.region)} · {programmeTitle(state.programme)}{' '}
            · {formatDate(today)}
          </Soft>
          <p>
            {sheet.model.name}, {sheet.model.maker}
            {state.model.invented ? ` (${t('common.invented')})` : ''}:{' '}
            <b>
              {!state.sizing.chosen
                ? t('sheet.undecided')
                : sheet.size
                  ? t('case.size', { size: sheet.size })
                  : t('sizing.madeToMeasure')}
              {sheet.height ? `, ${named('heights', sheet.height)}` : ''}
            </b>
            {state.model.sided && sheet.side !== 'midline'
              ? ` · ${t('sizing.sidedVersion', { side: named('side', sheet.side) })}`
              : ''}
          </p>
        </Stack>
        {sheet.open.length > 0 && (
          <Notice tone="stop">
            <Stack $gap={4}>
              <b>{t('sheet.open')}</b>
              {openForMaker(state, today).map((one) => {
                const { title, detail } = formatFinding(state, one, today, unit);
                return (
                  <span key={`${one.kind} ${one.about}`}>{[title, detail].filter(Boolean).join('. ')}</span>
                );
              })}
            </Stack>
          </Notice>
        )}
        {sheet.lines.length === 0 ? (
          <Notice tone="caution">{t('sheet.nothing')}</Notice>
        ) : (
          <table>
            <thead>
              <tr>
                <th scope="col">{t('sheet.reading')}</th>
                <th scope="col">{t('sheet.landmark')}</th>
                <th scope="col">{t('sheet.posture')}</th>
                <th scope="col">{t('sheet.value')}</th>
                <th scope="col">{t('sheet.repeats')}</th>
              </tr>
            </thead>
            <tbody>
              {sheet.lines.map((line) => (
                <tr key={`${line.step} ${line.side}`}>
                  <th scope="row" style={{ fontWeight: 400 }}>
                    {named('steps', line.step)}
                    {line.side === 'midline' ? '' : `, ${named('side', line.side)}`}
                  </th>
                  <td>
                    {line.landmarks.map((landmark) => named('landmarks', landmark)).join(' – ')}
                    {line.distance === 0
                      ? ''
                      : ` ${line.distance > 0 ? '+' : '−'}${formatReading(Math.abs(line.distance), 'mm', unit)}`}
                  </td>
                  <td>
                    {state.measuring.states
                      .filter(
                        ({ step, side, done }) =>
                          (step.kind === 'stance' || step.kind === 'posture') &&
                          done &&
                          (side === line.side || side === 'midline'),
                      )
                      .map(({ step, posture }) =>
                        posture ? `${named('steps', step.id)} ${posture.angle}°` : named('steps', step.id),
                      )
                      .join(', ')}
                    {line.substitute && <Small> {named('substituted', line.substitute)}</Small>}
                  </td>
                  <td>
                    <b>{formatReading(line.mean, line.unit, unit)}</b>{' '}
                    <Small>± {formatReading(2 * line.uncertainty, line.unit, unit)}</Small>
                  </td>
                  <td>{line.repeats}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {sheet.left.length > 0 && (
          <Small>
            {t('sheet.left')}{' '}
            {sheet.left
              .map(({ step, side, reason }) =>
                [named('steps', step), side === 'midline' ? '' : named('side', side), reason]
                  .filter(Boolean)
                  .join(', '),
              )
              .join('; ')}
          </Small>
        )}
        <Small>{t('sheet.note')}</Small>
      </Stack>
    </Paper>
  );
}
