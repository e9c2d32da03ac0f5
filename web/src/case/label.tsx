import { may } from '@estribo/core/access';
import { isOnLabel, type FittedLabel } from '@estribo/core/logbook';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { formatDay } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { useSaving } from '../parts/use-saving';
import { useWork } from './case-context';

/** What stands on a label, in one line. */
export const saidOfLabel = ({ serial, lot }: Pick<FittedLabel, 'serial' | 'lot'>): string =>
  [serial && t('keeping.serialIs', { serial }), lot && t('keeping.lotIs', { lot })]
    .filter(Boolean)
    .join(', ');

const empty = { serial: '', lot: '' };

/** Serial and lot number of what was fitted, typed off the label. */
export function Label() {
  const { state, user, write } = useWork();
  const [draft, setDraft] = useDraft(`${state.case}-label`, empty);
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const { labels } = state.keeping;
  const mayWrite = may(user.role, 'checking.write');
  const keep = () => {
    const [serial, lot] = [draft.serial.trim(), draft.lot.trim()];
    if (serial === '' && lot === '') return setProblem(t('keeping.labelNeeds'));
    if ([serial, lot].some((typed) => typed !== '' && !isOnLabel(typed)))
      return setProblem(t('keeping.labelWrong'));
    setProblem(undefined);
    void save(() =>
      write('label.read', 'case', {
        ...(serial === '' ? {} : { serial }),
        ...(lot === '' ? {} : { lot }),
      }).then(() => setDraft(empty)),
    );
  };
  return (
    <Stack $gap={8} as="section" aria-label={t('keeping.label')} data-aside>
      <h2>{t('keeping.label')}</h2>
      {labels.map((label) => (
        <p key={label.entry}>
          <b>{saidOfLabel(label)}</b> · {formatDay(label.day)}
        </p>
      ))}
      {labels.length === 0 && <Soft>{t('keeping.labelHow')}</Soft>}
      {mayWrite && (
        <Row $align="flex-start">
          <Field
            label={t('keeping.serial')}
            value={draft.serial}
            onChange={(serial) => setDraft({ ...draft, serial })}
            maxLength={60}
            problem={problem}
            width="170px"
          />
          <Field
            label={t('keeping.lot')}
            value={draft.lot}
            onChange={(lot) => setDraft({ ...draft, lot })}
            maxLength={60}
            width="130px"
          />
          <Button onPress={keep} isDisabled={saving} style={{ alignSelf: 'flex-start', marginTop: 22 }}>
            {t('keeping.labelDo')}
          </Button>
        </Row>
      )}
    </Stack>
  );
}
