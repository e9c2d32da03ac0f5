import { may } from '@estribo/core/access';
import {
  byNerveBlock,
  findingRule,
  referrals,
  type Finding,
  type KnownFinding,
  type Referral,
} from '@estribo/core/screening';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';
import { Level, SignMarks, type Marks } from './sign-marks';

/** A look as it is marked, before it is recorded. */
interface Looking {
  marks: Marks;
  notes: Partial<Record<Finding, string>>;
  /** what is said not to be new, as far as it is said */
  known: Partial<Record<Finding, Partial<KnownFinding>>>;
  pain: string;
}

const nothingSaid: Looking = { marks: {}, notes: {}, known: {}, pain: '' };

/** Who knows of a finding and since when, once both are said; nothing is known since tomorrow. */
const saidKnown = (
  { by, since, until }: Partial<KnownFinding> = {},
  today: string,
): KnownFinding | undefined =>
  by?.trim() && since && since <= today
    ? { by: by.trim(), since, ...(until === undefined ? {} : { until }) }
    : undefined;

/** Whether the end of a nerve block lies before its beginning. */
const endsEarly = ({ since, until }: Partial<KnownFinding>): boolean =>
  since !== undefined && until !== undefined && until < since;

/** The pain as it was typed: a whole number from 0 to 10, nothing where it is empty. */
function readPain(typed: string): number | undefined | 'wrong' {
  const text = typed.trim();
  if (text === '') return undefined;
  return /^(?:10|[0-9])$/.test(text) ? Number(text) : 'wrong';
}

/**
 * A look at the limb: what is present or cannot be assessed is marked, and the button says of the rest that it is absent.
 * Nothing is preset.
 * @param asked what is asked, danger signs by how soon somebody is called, then what qualifies the fitting
 * @param stage where it is asked
 * @param withPain whether the pain before the brace is asked with it
 */
export function Look({
  asked,
  stage,
  withPain = false,
  onTaken,
}: {
  asked: readonly Finding[];
  stage: 'screen' | 'review';
  withPain?: boolean;
  onTaken: () => void;
}) {
  const { state, user, today, write } = useWork();
  const [looking, setLooking] = useDraft(`${state.case}-look-3-${stage}`, nothingSaid);
  const [halfKnown, setHalfKnown] = useState<Finding>();
  const [painProblem, setPainProblem] = useState<string>();
  const [saving, save] = useSaving();
  const { marks, notes, known } = looking;
  const marked = asked.filter((finding) => marks[finding] !== undefined);
  const count = (is: 'present' | 'unable') => marked.filter((finding) => marks[finding] === is).length;
  const mayLook = may(user.role, 'screening.write');
  const setKnown = (finding: Finding, said: Partial<KnownFinding> | undefined) => {
    setHalfKnown(undefined);
    setLooking({ ...looking, known: { ...known, [finding]: said } });
  };
  const take = () => {
    const half = marked.find(
      (finding) =>
        marks[finding] === 'present' &&
        known[finding] &&
        (!saidKnown(known[finding], today) || endsEarly(known[finding])),
    );
    if (half) return setHalfKnown(half);
    const pain = readPain(looking.pain);
    if (pain === 'wrong') return setPainProblem(t('screening.painWrong'));
    return save(async () => {
      await write('screen.looked', stage, {
        answers: asked.map((finding) => {
          const is = marks[finding] ?? 'absent';
          const note = notes[finding]?.trim();
          const isKnown = is === 'present' ? saidKnown(known[finding], today) : undefined;
          return {
            finding,
            is,
            ...(is !== 'absent' && note ? { note } : {}),
            ...(isKnown ? { known: isKnown } : {}),
          };
        }),
        ...(pain === undefined ? {} : { pain }),
      });
      setLooking(nothingSaid);
      onTaken();
    });
  };
  const said = [
    ...(count('present') > 0 ? [t('screening.countPresent', { count: count('present') })] : []),
    ...(count('unable') > 0 ? [t('screening.countUnable', { count: count('unable') })] : []),
  ].join(', ');
  return (
    <Stack $gap={12}>
      {groupsOf(asked).map(({ label, refer, findings }) => (
        <Stack key={label} $gap={4}>
          <Level $refer={refer}>{label}</Level>
          <SignMarks
            label={label}
            findings={findings}
            marks={marks}
            onChange={(now) => setLooking({ ...looking, marks: now })}
          />
        </Stack>
      ))}
      {marked.map((finding) => (
        <Stack key={finding} $gap={8}>
          <Field
            label={t('screening.note', { finding: named('findings', finding) })}
            value={notes[finding] ?? ''}
            onChange={(note) => setLooking({ ...looking, notes: { ...notes, [finding]: note } })}
            maxLength={400}
          />
          {marks[finding] === 'present' && findingRule(finding).mayBeKnown && (
            <>
              <Tick
                isSelected={known[finding] !== undefined}
                onChange={(is) => setKnown(finding, is ? {} : undefined)}
              >
                {t('screening.known')}
              </Tick>
              {known[finding] && (
                <Row $align="flex-start">
                  <Field
                    label={t('screening.knownBy')}
                    value={known[finding].by ?? ''}
                    onChange={(by) => setKnown(finding, { ...known[finding], by })}
                    problem={
                      halfKnown === finding && !known[finding].by?.trim()
                        ? t('screening.knownNeeds')
                        : undefined
                    }
                    maxLength={120}
                  />
                  <DayField
                    label={t('screening.knownSince')}
                    value={known[finding].since}
                    onChange={(since) => {
                      const { since: _before, ...rest } = known[finding]!;
                      setKnown(finding, since ? { ...rest, since } : rest);
                    }}
                    problem={
                      halfKnown === finding && !(known[finding].since && known[finding].since <= today)
                        ? t('screening.knownNeeds')
                        : undefined
                    }
                  />
                  {byNerveBlock.includes(finding) && (
                    <DayField
                      label={t('screening.blockUntil')}
                      value={known[finding].until}
                      onChange={(until) => {
                        const { until: _before, ...rest } = known[finding]!;
                        setKnown(finding, until ? { ...rest, until } : rest);
                      }}
                      problem={
                        halfKnown === finding && endsEarly(known[finding])
                          ? t('screening.blockEnd')
                          : undefined
                      }
                    />
                  )}
                </Row>
              )}
            </>
          )}
        </Stack>
      ))}
      {withPain && (
        <Field
          label={t('screening.pain')}
          value={looking.pain}
          onChange={(pain) => {
            setPainProblem(undefined);
            setLooking({ ...looking, pain });
          }}
          problem={painProblem}
          inputMode="numeric"
          maxLength={4}
        />
      )}
      <Row>
        <Button look="main" onPress={() => void take()} isDisabled={saving || !mayLook}>
          {marked.length === 0
            ? t('screening.noneOf', { count: asked.length })
            : t('screening.someFound', { what: said })}
        </Button>
        {!mayLook && <Soft>{t('common.notYourRole')}</Soft>}
      </Row>
    </Stack>
  );
}

/** Danger signs by how soon somebody is called, the soonest first; then what qualifies the fitting. */
function groupsOf(
  asked: readonly Finding[],
): { label: string; refer: Referral | undefined; findings: Finding[] }[] {
  const blocks = asked.filter((finding) => findingRule(finding).severity === 'blocks');
  return [
    ...referrals.map((refer) => ({
      label: named('referralShort', refer),
      refer,
      findings: blocks.filter((finding) => findingRule(finding).refer === refer),
    })),
    {
      label: t('screening.qualifies'),
      refer: undefined,
      findings: asked.filter((finding) => findingRule(finding).severity === 'qualifies'),
    },
  ].filter(({ findings }) => findings.length > 0);
}
