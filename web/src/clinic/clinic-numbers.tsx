import { ruleActions, type ClinicWearRule, type RuleAction } from '@estribo/core/wearing';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useClinic } from '../api/clinic';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';

const signs = ['skin', 'pain', 'missed'] as const;

/** A rule to begin with on the screen: it does nothing until somebody says otherwise. */
const nothing: Omit<ClinicWearRule, 'resumeAfter'> = { skin: 'go-on', pain: 'go-on', missed: 'go-on' };

/** Whom the patient calls, as the sheets print it, and the clinic's own rule for wearing that grows. */
export function ClinicNumbers() {
  const clinic = useClinic();
  const [phone, setPhone] = useState(clinic.phone ?? '');
  const [emergency, setEmergency] = useState(clinic.emergency ?? '');
  const [ruled, setRuled] = useState(clinic.wearRule !== null);
  const [rule, setRule] = useState<Record<(typeof signs)[number], RuleAction>>(clinic.wearRule ?? nothing);
  const [days, setDays] = useState(String(clinic.wearRule?.resumeAfter ?? ''));
  const [problems, setProblems] = useState<Record<string, string>>({});
  const put = useMutation({
    mutationFn: () =>
      call('PUT', '/clinic', {
        phone: phone.trim(),
        emergency: emergency.trim(),
        wearRule: ruled ? { ...rule, resumeAfter: Number(days) } : null,
      }),
    onSuccess: async () => {
      setProblems({});
      await queries.invalidateQueries({ queryKey: ['session'] });
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  const keep = () => {
    if (ruled && !/^([1-9]|[12]\d|30)$/.test(days.trim()))
      return setProblems({ days: t('clinicNumbers.daysWrong') });
    put.mutate();
  };
  return (
    <Sheet>
      <Stack $gap={14}>
        <h2>{t('clinicNumbers.title')}</h2>
        <Row $align="flex-start">
          <Field
            label={t('clinicNumbers.phone')}
            value={phone}
            onChange={setPhone}
            maxLength={120}
            problem={problems.phone}
          />
          <Field
            label={t('clinicNumbers.emergency')}
            value={emergency}
            onChange={setEmergency}
            maxLength={120}
            problem={problems.emergency}
          />
        </Row>
        <h2>{t('clinicNumbers.rule')}</h2>
        <Soft>{t('clinicNumbers.ruleHow')}</Soft>
        <Tick isSelected={ruled} onChange={setRuled}>
          {t('clinicNumbers.hasRule')}
        </Tick>
        {ruled && (
          <>
            {signs.map((sign) => (
              <Choice
                key={sign}
                label={t(`clinicNumbers.when.${sign}`)}
                options={ruleActions.map((value) => ({ value, label: t(`clinicNumbers.does.${value}`) }))}
                value={rule[sign]}
                onChange={(value) => setRule({ ...rule, [sign]: value as RuleAction })}
              />
            ))}
            <Field
              label={t('clinicNumbers.days')}
              value={days}
              onChange={setDays}
              maxLength={3}
              problem={problems.days}
            />
          </>
        )}
        {(problems[''] ?? problems.wearRule) && (
          <Notice tone="stop" live>
            {problems[''] ?? problems.wearRule}
          </Notice>
        )}
        {put.isSuccess && (
          <Notice tone="good" live>
            {t('clinicNumbers.kept')}
          </Notice>
        )}
        <Row>
          <Button look="main" onPress={keep} isDisabled={put.isPending}>
            {t('clinicNumbers.keep')}
          </Button>
        </Row>
      </Stack>
    </Sheet>
  );
}
