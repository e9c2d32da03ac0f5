import { chartColumns, type ChartFault } from '@estribo/core/exchange';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { queries } from '../api/queries';
import { call, RefusedError } from '../api/http';
import { size } from '../app/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Row, RuledTable, Small, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

const Faults = styled(RuledTable)`
  font-size: ${size.small};
`;

type Outcome =
  | { kind: 'done'; imported: number; unchanged: number }
  | { kind: 'faults'; faults: ChartFault[] }
  | { kind: 'away' }
  | { kind: 'refused'; said: string };

/** A chart file brought in: all of it, or nothing with every fault by row and column. */
export function ImportCharts({ onClose }: { onClose: () => void }) {
  const [name, setName] = useState('');
  const [outcome, setOutcome] = useState<Outcome>();
  const [busy, setBusy] = useState(false);
  const bring = async (file: File) => {
    setName(file.name);
    setBusy(true);
    setOutcome(undefined);
    try {
      const { imported, unchanged } = await call<{ imported: unknown[]; unchanged: number }>(
        'POST',
        '/catalogue/import',
        { csv: await file.text() },
      );
      setOutcome({ kind: 'done', imported: imported.length, unchanged });
      void queries.invalidateQueries({ queryKey: ['models'] });
    } catch (error) {
      if (!(error instanceof RefusedError)) setOutcome({ kind: 'away' });
      else {
        const { rows } = error.problem as { rows?: ChartFault[] };
        setOutcome(rows ? { kind: 'faults', faults: rows } : { kind: 'refused', said: error.problem.detail });
      }
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('catalogue.importTitle')} onClose={onClose}>
      <Stack $gap={12}>
        <p>{t('catalogue.importHow')}</p>
        <Small>{chartColumns.join(', ')}</Small>
        <Row>
          <FileTrigger
            acceptedFileTypes={['text/csv', '.csv']}
            onSelect={(files) => {
              const file = files?.[0];
              if (file) void bring(file);
            }}
          >
            <Button look="main" isDisabled={busy}>
              {t('catalogue.chooseFile')}
            </Button>
          </FileTrigger>
          <Small>{busy ? t('common.loading') : name}</Small>
        </Row>
        {outcome?.kind === 'done' && (
          <Notice tone="good" live>
            {t('catalogue.imported', { count: outcome.imported })}{' '}
            {outcome.unchanged > 0 && t('catalogue.unchanged', { count: outcome.unchanged })}
          </Notice>
        )}
        {outcome?.kind === 'away' && (
          <Notice tone="stop" live>
            {t('catalogue.importAway')}
          </Notice>
        )}
        {outcome?.kind === 'refused' && (
          <Notice tone="stop" live>
            {outcome.said}
          </Notice>
        )}
        {outcome?.kind === 'faults' && (
          <>
            <Notice tone="stop" live>
              {t('catalogue.nothingImported', { count: outcome.faults.length })}
            </Notice>
            <div
              style={{ maxHeight: 260, overflow: 'auto' }}
              tabIndex={0}
              role="region"
              aria-label={t('catalogue.faults')}
            >
              <Faults>
                <thead>
                  <tr>
                    <th scope="col">{t('catalogue.row')}</th>
                    <th scope="col">{t('catalogue.column')}</th>
                    <th scope="col">{t('catalogue.fault')}</th>
                  </tr>
                </thead>
                <tbody>
                  {outcome.faults.map(({ row, column, fault, detail }, i) => (
                    <tr key={i}>
                      <td>{row}</td>
                      <td>{column}</td>
                      <td>
                        {named('chartFaults', fault)} {detail}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </Faults>
            </div>
          </>
        )}
        <Row>
          <Button look="quiet" onPress={onClose}>
            {t('catalogue.close')}
          </Button>
        </Row>
      </Stack>
    </Dialog>
  );
}
