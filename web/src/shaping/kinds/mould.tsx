import { t } from '../../messages';
import { operationWords } from '../../messages/fitting';
import { useWork } from '../../case/case-context';
import { Fold } from '../../parts/fold';
import { Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { DepthsEntry } from '../depths-entry';
import { HeatRuns } from '../heat-clock';
import type { OperationScreen } from './piece';
import { PlainWork } from './plain';

/** A part formed by heat: by one of its runs with a clock, or noted as done. */
export const mould: OperationScreen = {
  Piece: function Mould({ work, stage }) {
    const { state } = useWork();
    const { operation } = work;
    if (operation.kind !== 'mould' || !operation.runs) return <PlainWork work={work} stage={stage} />;
    const words = operationWords(state.programme, operation.id);
    return (
      <Stack $gap={10}>
        <h2>{words.name}</h2>
        <Soft>{words.how}</Soft>
        {words.caution && <Notice tone="caution">{words.caution}</Notice>}
        {work.parts.every(({ kind }) => kind === 'panel') && <DepthsEntry work={work} stage={stage} />}
        <HeatRuns work={work} runs={operation.runs} stage={stage} />
        <Fold title={t('shaping.noteFormed')}>
          <PlainWork work={work} stage={stage} />
        </Fold>
      </Stack>
    );
  },
};
