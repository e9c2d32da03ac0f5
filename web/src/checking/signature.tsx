import {
  decideSignature,
  isBarred,
  narrowerChecks,
  shownThings,
  type ShownThing,
} from '@estribo/core/checking';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { checkName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';

/** The signature under the checks: who signs, what was shown, what is narrower than ordered. None while the limb is not safe. */
export function Signature() {
  const { state, user, write } = useWork();
  const { result, unsafe } = state.checking;
  const [note, setNote] = useDraft(`${state.case}-check-note`);
  const [shown, show] = useDraft<ShownThing[]>(`${state.case}-check-shown`, []);
  const narrower = narrowerChecks(state.checking);
  const [isSeen, setSeen] = useState(false);
  const [saving, save] = useSaving();
  if (isBarred(unsafe))
    return (
      <Notice tone="stop" live>
        {t('checking.barred', {
          checks: unsafe
            .filter(({ why }) => why === 'limb-safety')
            .map(({ check }) => checkName(check))
            .join(', '),
        })}
      </Notice>
    );
  const sign = () => {
    const body = decideSignature(state);
    if (body)
      void save(() =>
        write('check.signed', 'check', {
          ...body,
          ...(note.trim() ? { note: note.trim() } : {}),
          ...(shown.length > 0 ? { shown: shownThings.filter((one) => shown.includes(one)) } : {}),
          ...(narrower.length > 0 ? { narrower } : {}),
        }).then(() => setNote('')),
      );
  };
  return (
    <Stack $gap={10}>
      <Notice tone={result === 'pass' ? 'good' : 'stop'}>
        {t(result === 'pass' ? 'checking.pass' : 'checking.fail')}
      </Notice>
      <Soft>{t('checking.shownTitle')}</Soft>
      <Row $gap={14}>
        {shownThings.map((one) => (
          <Tick
            key={one}
            isSelected={shown.includes(one)}
            onChange={(on) => show(on ? [...shown, one] : shown.filter((other) => other !== one))}
          >
            {t(`checking.shown.${one}`)}
          </Tick>
        ))}
      </Row>
      {narrower.length > 0 && (
        <Tick isSelected={isSeen} onChange={setSeen}>
          {t('checking.narrowerSeen')}
        </Tick>
      )}
      <Field label={t('checking.note')} value={note} onChange={setNote} maxLength={400} />
      <Row>
        <Button look="main" onPress={sign} isDisabled={saving || (narrower.length > 0 && !isSeen)}>
          {t('checking.sign', { name: user.name, result: named('result', result) })}
        </Button>
      </Row>
    </Stack>
  );
}
