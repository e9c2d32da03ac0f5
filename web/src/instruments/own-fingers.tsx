import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { call } from '../api/http';
import { queries } from '../api/queries';
import { useUser } from '../api/clinic';
import { useUnit } from '../browser/preferences';
import { t } from '../messages';
import { Button } from '../parts/button';
import { formatReading } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';

/** What three fingers of anybody may be broad, mm. */
const broad = { least: 30, most: 80 };

/** How broad the user's own three fingers are: laid on a ruler once, and kept with the user. */
export function OwnFingers() {
  const user = useUser();
  const [unit] = useUnit();
  const [typed, type] = useDraft(`fingers-${user.id}`, '');
  const [again, setAgain] = useState(false);
  const [problem, setProblem] = useState<string>();
  const put = useMutation({
    mutationFn: (threeFingers: number) => call('PUT', '/session/fingers', { threeFingers }),
    onSuccess: async () => {
      type('');
      setAgain(false);
      await queries.invalidateQueries({ queryKey: ['session'] });
    },
    onError: () => setProblem(t('common.away')),
  });
  const take = () => {
    const read = readQuantity(typed, 'length', unit);
    if ('problem' in read) return setProblem(read.problem);
    if (read.value < broad.least || read.value > broad.most)
      return setProblem(
        t('fingers.between', {
          least: formatReading(broad.least, 'mm', unit),
          most: formatReading(broad.most, 'mm', unit),
        }),
      );
    put.mutate(Math.round(read.value * 10) / 10);
  };
  if (user.threeFingers && !again)
    return (
      <Row>
        <Soft>{t('fingers.yours', { breadth: formatReading(user.threeFingers, 'mm', unit) })}</Soft>
        <Button look="quiet" onPress={() => setAgain(true)}>
          {t('fingers.again')}
        </Button>
      </Row>
    );
  return (
    <Notice tone="caution">
      <Stack $gap={8}>
        <span>{t('fingers.ask')}</span>
        <Row $align="flex-end">
          <ReadingField
            small
            label={t('fingers.label')}
            kind="length"
            unit={unit}
            sign={unit}
            value={typed}
            onChange={(text) => {
              type(text);
              setProblem(undefined);
            }}
            onEnter={take}
            problem={problem}
          />
          <Button onPress={take} isDisabled={put.isPending}>
            {t('measuring.take')}
          </Button>
        </Row>
      </Stack>
    </Notice>
  );
}
