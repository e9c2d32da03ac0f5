import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { call } from '../api/http';
import { sayRefusal } from '../api/say-problem';
import { queries } from '../api/queries';
import { useToday } from '../api/clinic';
import { useUnit } from '../browser/preferences';
import { t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row } from '../parts/layout';
import { Notice } from '../parts/notice';
import { readQuantity } from '../parts/reading-field';
import type { InstrumentLine } from './use-instrument';

/** A new calibration of an instrument: its day and its offset. */
export function Calibration({
  line,
  sign,
  onClose,
}: {
  line: Pick<InstrumentLine, 'instrument' | 'name' | 'offset'>;
  /** of the instrument's unit */
  sign: string;
  onClose: () => void;
}) {
  const today = useToday();
  const [unit] = useUnit();
  const start: { day?: string; offset: string } = { day: today, offset: String(line.offset) };
  const [draft, setDraft] = useDraft(`calibration-${line.instrument}`, start);
  const { day, offset } = draft;
  const [problem, setProblem] = useState<{ day?: string; offset?: string; other?: string }>({});
  const put = useMutation({
    mutationFn: (taken: { calibratedOn: string; offset: number }) =>
      call('PUT', `/instruments/${line.instrument}/calibration`, taken),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['instruments'] });
      setDraft(start);
      onClose();
    },
    onError: (error) =>
      setProblem({
        other: sayRefusal(error, t('instruments.notSaved')),
      }),
  });
  const save = () => {
    const read = readQuantity(offset, 'count', unit);
    if (!day || day > today) return setProblem({ day: t('instruments.notLater') });
    if ('problem' in read) return setProblem({ offset: read.problem });
    put.mutate({ calibratedOn: day, offset: read.value });
  };
  return (
    <Dialog title={t('instruments.calibrateTitle', { name: line.name })} onClose={onClose}>
      <p>{t('instruments.calibrateHow')}</p>
      <Row $align="flex-start">
        <DayField
          label={t('instruments.calibratedOn')}
          value={day}
          onChange={(on) => setDraft({ offset, ...(on ? { day: on } : {}) })}
          problem={problem.day}
        />
        <Field
          label={t('instruments.offset', { unit: sign })}
          value={offset}
          onChange={(text) => setDraft({ ...draft, offset: text })}
          problem={problem.offset}
          maxLength={12}
        />
      </Row>
      {problem.other && (
        <Notice tone="stop" live>
          {problem.other}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={put.isPending} onPress={save}>
          {t('instruments.saveCalibration')}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
