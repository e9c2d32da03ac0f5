import { useWork } from '../case/case-context';
import { CheckAnswer } from '../checking/check-answer';
import { Cures } from '../checking/cures';
import { checkName, keyOf } from '../checking/found';
import { checkWords } from '../messages/fitting';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** A check that is answered in the middle of putting on: the same one that stands among the checks. */
export function CheckInStep({ check: id, moment }: { check: string; moment: string | undefined }) {
  const { state } = useWork();
  const found = state.checking.checks.find(
    ({ check }) => check.id === id && (moment === undefined || check.moment?.is === moment),
  );
  if (!found) return null;
  const { check, judged, value, reference, seen, entry } = found;
  const { how, fix } = checkWords(state.programme, id);
  return (
    <Stack $gap={6}>
      <Row>
        <b>{checkName(state, check)}</b>
        {how && <Soft>{how}</Soft>}
      </Row>
      <CheckAnswer
        key={`${keyOf(check)} ${entry ?? 'open'}`}
        check={check}
        value={value}
        reference={reference}
        seen={seen}
        notReached={judged.state === 'not-reached'}
        primary
      />
      {judged.state === 'fail' && (
        <Notice tone="stop" live>
          <Stack $gap={6}>
            <span>{fix}</span>
            <Cures check={check} />
          </Stack>
        </Notice>
      )}
    </Stack>
  );
}
