import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { formatDay } from '../parts/format';
import { Fold } from '../parts/fold';
import { Row, Soft, Stack } from '../parts/layout';
import { useSaving } from '../parts/use-saving';

const ways = ['post', 'message', 'by-hand'] as const;

/** That the letter to the prescriber was sent, to whom and how. */
export function LetterSent() {
  const { state } = useWork();
  const { letter } = state.wearing;
  const mayWrite = useMay('wear')('wearing.write');
  return (
    <>
      {letter && <Soft>{t('letter.wasSent', { to: letter.to, day: formatDay(letter.day) })}</Soft>}
      {mayWrite && state.order && (
        <Fold title={t('letter.sentTitle')}>
          <Send />
        </Fold>
      )}
    </>
  );
}

function Send() {
  const { state, write } = useWork();
  const [to, setTo] = useDraft(`${state.case}-letter-to`, state.order!.order.prescriber);
  const [saving, save] = useSaving();
  return (
    <Stack $gap={8}>
      <Field label={t('letter.toWhom')} value={to} onChange={setTo} maxLength={120} />
      <Row>
        {ways.map((how) => (
          <Button
            key={how}
            isDisabled={saving || to.trim() === ''}
            onPress={() => void save(() => write('letter.sent', 'wear', { to: to.trim(), how }))}
          >
            {t(`letter.how.${how}`)}
          </Button>
        ))}
      </Row>
    </Stack>
  );
}
