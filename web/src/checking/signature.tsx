import { may } from '@estribo/core/access';
import {
  decideSignature,
  isBarred,
  narrowerChecks,
  shownThings,
  type ShownThing,
} from '@estribo/core/checking';
import { withholding } from '@estribo/core/findings';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { useTypedGuard } from '../case/typed-here';
import { formatFinding } from '../findings/format-finding';
import { named, t } from '../messages';
import { checkName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';
import { useReason } from '../parts/use-reason';
import { useSaving } from '../parts/use-saving';

/**
 * The signature under the checks: who signs, what was shown, what is narrower than ordered. What is missing withholds a pass;
 * some of it an orthotist may override with a reason that letter and sheet name.
 */
export function Signature() {
  const { state, findings, user, today, unit, write } = useWork();
  const { result, unsafe } = state.checking;
  const [note, setNote] = useDraft(`${state.case}-check-note`);
  const [shown, show] = useDraft<ShownThing[]>(`${state.case}-check-shown`, []);
  const narrower = narrowerChecks(state.checking);
  const [isSeen, setSeen] = useState(false);
  const [overriding, override] = useState(false);
  const { field, giving } = useReason(`${state.case}-sign-over`, t('checking.overrideReason'));
  const [saving, save] = useSaving();
  const { asked, guard } = useTypedGuard();
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
  const held = result === 'pass' ? withholding(findings, 'signature') : [];
  const never = held.filter(({ mayBeOverridden }) => !mayBeOverridden);
  const titles = (of: typeof held) =>
    of.map((one) => formatFinding(state, one, today, unit).title).join('; ');
  const sign = (reason?: string) => {
    const body = decideSignature(state);
    if (body)
      void save(() =>
        write('check.signed', 'check', {
          ...body,
          ...(note.trim() ? { note: note.trim() } : {}),
          ...(shown.length > 0 ? { shown: shownThings.filter((one) => shown.includes(one)) } : {}),
          ...(narrower.length > 0 ? { narrower } : {}),
          ...(reason === undefined
            ? {}
            : {
                inSpite: {
                  of: held.map(({ kind, about }) => ({ kind, ...(about === undefined ? {} : { about }) })),
                  reason,
                },
              }),
        }).then(() => setNote('')),
      );
  };
  const mayOverride = never.length === 0 && may(user.role, 'screening.override');
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
      {overriding && mayOverride && field}
      {asked}
      <Row>
        <Button
          look={held.length > 0 ? 'stop' : 'main'}
          onPress={() => {
            if (held.length === 0) return guard(sign);
            if (!overriding) return override(true);
            guard(() => giving(sign));
          }}
          isDisabled={saving || (narrower.length > 0 && !isSeen) || (held.length > 0 && !mayOverride)}
        >
          {held.length > 0 && mayOverride
            ? t(overriding ? 'checking.signOver' : 'checking.override', { name: user.name })
            : t('checking.sign', { name: user.name, result: named('result', result) })}
        </Button>
        {held.length > 0 && (
          <Soft style={{ flex: 1, minWidth: 220 }}>
            {never.length > 0
              ? t('checking.withheldBy', { what: titles(never) })
              : t(mayOverride ? 'checking.missing' : 'checking.missingOthers', { what: titles(held) })}
          </Soft>
        )}
      </Row>
    </Stack>
  );
}
