import {
  isReading,
  unitOf,
  type PostureStep,
  type Question,
  type ReadingStep,
} from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';

/** A reading that is odd, asked about: what was expected, what may have been meant. It can always be taken. */
export function AskedReading({
  step,
  value,
  question,
  onTake,
  onChange,
}: {
  step: ReadingStep | PostureStep;
  value: number;
  question: Question;
  /** with what it was questioned by, when it is taken as it is */
  onTake: (value: number, questioned?: Question['against']) => void;
  onChange: () => void;
}) {
  const { unit } = useWork();
  const { meant, against } = question;
  return (
    <Notice tone="caution" live>
      <Stack $gap={8}>
        <p>{questionText(question, value, step, unit)}</p>
        <Row>
          {meant && meant.slip !== 'sides-swapped' && (
            <Button look="main" onPress={() => onTake(meant.value)}>
              {t('measuring.takeMeant', { value: formatReading(meant.value, unitOf(step), unit) })}
            </Button>
          )}
          <Button onPress={() => onTake(value, against)}>{t('measuring.takeAnyway')}</Button>
          <Button look="quiet" onPress={onChange}>
            {t('measuring.changeTyped')}
          </Button>
        </Row>
      </Stack>
    </Notice>
  );
}

function questionText(
  { against, expected, meant }: Question,
  value: number,
  step: ReadingStep | PostureStep,
  unit: LengthUnit,
): string {
  const print = (number: number) => formatReading(number, unitOf(step), unit);
  const [from, to] = isReading(step) ? step.plausible : [-180, 180];
  const said = t(`measuring.asked.${against}`, {
    value: print(value),
    expected: print(expected),
    from: print(from),
    to: print(to),
  });
  return meant ? `${said} ${t(`measuring.meant.${meant.slip}`, { value: print(meant.value) })}` : said;
}
