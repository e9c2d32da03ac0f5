import type { FitCheck } from '@estribo/core/checking';
import type { CaseState } from '@estribo/core/logbook';
import type { Stage } from '@estribo/core/record';
import { Link } from 'react-router';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { operationWords, settingWords, stepWords } from '../messages/fitting';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** What a cure opens there is called: something that is set, or a step. */
const thingName = ({ programme }: CaseState, thing: string): string =>
  programme.settings.some(({ id }) => id === thing)
    ? settingWords(programme, thing).name
    : programme.operations?.some(({ id }) => id === thing)
      ? operationWords(programme, thing).name
      : stepWords(programme, thing).name;

/** What mends what a check found, in its order: a stage opens with the thing selected; or stop, and call. */
export function Cures({ check: { cures = [] } }: { check: FitCheck }) {
  const { state } = useWork();
  const may = cures.filter(
    (cure) =>
      'call' in cure || !['not-covered', 'not-needed'].includes(state.stages[cure.stage as Stage].status),
  );
  if (may.length === 0) return null;
  return (
    <Stack $gap={6}>
      <Row $gap={14}>
        {may.map((cure, i) =>
          'call' in cure ? null : (
            <Link
              key={i}
              to={`/cases/${state.case}/${cure.stage}${cure.thing === undefined ? '' : `#${new URLSearchParams({ thing: cure.thing }).toString()}`}`}
            >
              {cure.thing === undefined
                ? t('checking.open', { stage: named('stages', cure.stage) })
                : t('checking.openThing', {
                    stage: named('stages', cure.stage),
                    thing: thingName(state, cure.thing),
                  })}
            </Link>
          ),
        )}
      </Row>
      {may.map((cure, i) =>
        'call' in cure ? (
          <Notice key={i} tone="stop">
            {t('checking.stopAndCall', { whom: named('callWhom', cure.call) })}
          </Notice>
        ) : null,
      )}
    </Stack>
  );
}
