import { useWork } from '../case/case-context';
import { listName, stepWords } from '../messages/fitting';
import { Stack } from '../parts/layout';

/** The lists that are read and not run step by step: taking off, making ready for next time. */
export function OtherLists() {
  const { programme, strapping } = useWork().state;
  return strapping.others.map(({ id, steps }) => (
    <Stack key={id} $gap={6}>
      <h2>{listName(programme, id)}</h2>
      <ol>
        {steps.map((step, i) => {
          const { name, hold, caution } = stepWords(programme, step.id);
          return (
            <li key={step.id}>
              <b>
                {i + 1}. {name}.
              </b>{' '}
              {[hold, caution].filter(Boolean).join(' ')}
            </li>
          );
        })}
      </ol>
    </Stack>
  ));
}
