import { importDone, importPreview, type ChangedModel as Changed } from '@estribo/core/answers';
import { useMutation } from '@tanstack/react-query';
import { chartColumns, lostBy, type ChartFault } from '@estribo/core/exchange';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { queries } from '../api/queries';
import { RefusedError, tell } from '../api/http';
import { sayProblem } from '../api/say-problem';
import { size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Row, RuledTable, Small, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';
import { ChartChanges } from './chart-changes';

const Faults = styled(RuledTable)`
  font-size: ${size.small};
`;

type Outcome =
  | { kind: 'preview'; csv: string; changed: Changed[]; unchanged: number }
  | { kind: 'done'; imported: number; unchanged: number }
  | { kind: 'faults'; faults: ChartFault[] }
  | { kind: 'away' }
  | { kind: 'refused'; said: string };

/** What the server said to a file, where it is none of the answers hoped for. */
function refused(error: unknown): Outcome {
  if (!(error instanceof RefusedError)) return { kind: 'away' };
  const { rows } = error.problem as { rows?: ChartFault[] };
  return rows ? { kind: 'faults', faults: rows } : { kind: 'refused', said: sayProblem(error.problem) };
}

/** A chart file brought in: what it would change is shown first; then all of it, or nothing with every fault. */
export function ImportCharts({ onClose }: { onClose: () => void }) {
  const [name, setName] = useState('');
  const [outcome, setOutcome] = useState<Outcome>();
  const [mayLose, setMayLose] = useState<readonly string[]>([]);
  const { mutateAsync, isPending: busy } = useMutation({
    mutationFn: (work: () => Promise<Outcome>) => work(),
  });
  const attempt = async (work: () => Promise<Outcome>) => setOutcome(await mutateAsync(work).catch(refused));
  const look = (file: File) => {
    setName(file.name);
    setOutcome(undefined);
    setMayLose([]);
    return attempt(async () => {
      const csv = await file.text();
      const found = await tell(importPreview, 'POST', '/catalogue/import', { csv, preview: true });
      return { kind: 'preview', csv, ...found };
    });
  };
  const bring = (csv: string) =>
    attempt(async () => {
      const { imported, unchanged } = await tell(importDone, 'POST', '/catalogue/import', { csv, mayLose });
      void queries.invalidateQueries({ queryKey: ['models'] });
      return { kind: 'done', imported: imported.length, unchanged };
    });
  const asksToLose =
    outcome?.kind === 'preview' &&
    outcome.changed.some(({ id, changes }) => lostBy(changes).length > 0 && !mayLose.includes(id));
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
              if (file) void look(file);
            }}
          >
            <Button look={outcome?.kind === 'preview' ? 'second' : 'main'} isDisabled={busy}>
              {t('catalogue.chooseFile')}
            </Button>
          </FileTrigger>
          <Small>{busy ? t('common.loading') : name}</Small>
        </Row>
        {outcome?.kind === 'preview' && (
          <>
            <h3>{t('catalogue.previewTitle')}</h3>
            {outcome.changed.length === 0 && <p>{t('catalogue.previewNone')}</p>}
            <div
              style={{ maxHeight: 300, overflow: 'auto' }}
              tabIndex={0}
              role="region"
              aria-label={t('catalogue.previewTitle')}
            >
              <Stack $gap={10}>
                {outcome.changed.slice(0, 100).map((model) => (
                  <OneChanged
                    key={model.id}
                    model={model}
                    mayLose={mayLose.includes(model.id)}
                    onMayLose={(may) =>
                      setMayLose(may ? [...mayLose, model.id] : mayLose.filter((id) => id !== model.id))
                    }
                  />
                ))}
              </Stack>
            </div>
            {outcome.changed.length > 0 && (
              <Row>
                <Button look="main" isDisabled={busy || asksToLose} onPress={() => void bring(outcome.csv)}>
                  {outcome.changed.length === 1
                    ? t('catalogue.bringIn')
                    : t('catalogue.bringInAll', { count: outcome.changed.length })}
                </Button>
              </Row>
            )}
          </>
        )}
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
        {outcome?.kind === 'faults' && <FaultsOf faults={outcome.faults} />}
        <Row>
          <Button look="quiet" onPress={onClose}>
            {t('catalogue.close')}
          </Button>
        </Row>
      </Stack>
    </Dialog>
  );
}

/** A model with what would change of it; what would be gone is asked about. */
function OneChanged({
  model: { name, version, changes },
  mayLose,
  onMayLose,
}: {
  model: Changed;
  mayLose: boolean;
  onMayLose: (may: boolean) => void;
}) {
  const lost = lostBy(changes).length;
  return (
    <Stack $gap={6}>
      <b>
        {version === 1
          ? t('catalogue.previewNew', { name })
          : t('catalogue.previewChanged', { name, count: changes.length })}
      </b>
      {lost > 0 && (
        <Notice tone="stop">
          <Stack $gap={6}>
            <span>{t('catalogue.previewLoses', { count: lost })}</span>
            <Tick isSelected={mayLose} onChange={onMayLose}>
              {t('catalogue.mayLose')}
            </Tick>
          </Stack>
        </Notice>
      )}
      <ChartChanges changes={changes.slice(0, 200)} />
    </Stack>
  );
}

function FaultsOf({ faults }: { faults: readonly ChartFault[] }) {
  return (
    <>
      <Notice tone="stop" live>
        {t('catalogue.nothingImported', { count: faults.length })}
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
            {faults.map(({ row, column, fault, detail }, i) => (
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
  );
}
