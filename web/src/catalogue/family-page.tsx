import { may } from '@estribo/core/access';
import { unitOf, type ProtocolStep } from '@estribo/core/measuring';
import { ownInjuries, withDifferences, withOwnInjuries, type Programme } from '@estribo/core/programmes';
import { betweenRules, type BetweenRule } from '@estribo/core/sizing';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { contentQuery, useCatalogue, useUser } from '../api/clinic';
import { queries } from '../api/queries';
import { call, RefusedError } from '../api/http';
import { sayRefusal } from '../api/say-problem';
import { useUnit } from '../browser/preferences';
import { color, size } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, RuledTable, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatNumber, unitSign } from '../parts/format';
import { readQuantity } from '../parts/reading-field';
import { CellInput } from './cell-input';
import { chosenDifferences, FamilyDifferences } from './family-differences';

const Table = styled(RuledTable)`
  width: 100%;
  & th,
  & td {
    vertical-align: top;
  }
  & th {
    font-weight: 400;
  }
  & thead th {
    font-size: ${size.small};
    color: ${color('soft')};
  }
`;

/** A family copied and changed into the clinic's own: distances, tolerances, the rule between sizes. No code. */
export default function FamilyPage() {
  const { hash } = useParams();
  const user = useUser();
  const programme = useQuery(contentQuery<Programme>('programme', hash));
  const families = useCatalogue();
  const baseHash = families.data?.families.find(({ id }) => id === programme.data?.base)?.hash;
  const base = useQuery({
    ...contentQuery<Programme>('programme', baseHash),
    enabled: baseHash !== undefined,
  });
  if (!may(user.role, 'catalogue.write')) return <LeadTo to="/catalogue" />;
  if (programme.error instanceof RefusedError)
    return (
      <Page>
        <Notice tone="stop">{t('catalogue.noSuchFamily')}</Notice>
        <Link to="/catalogue">{t('nav.catalogue')}</Link>
      </Page>
    );
  if (!programme.data || (programme.data.base !== undefined && !base.data))
    return <Loading away={programme.isError || families.isError || base.isError} />;
  return <Edit key={hash} programme={programme.data} base={base.data} />;
}

type Editable = 'distance' | 'tolerance';
type Reading = Extract<ProtocolStep, { tolerance: number; plausible: readonly [number, number] }>;
const isReadingStep = (step: ProtocolStep): step is Reading => 'plausible' in step;

/** @param base of a copy: the family it was copied from, as it is today */
function Edit({ programme, base }: { programme: Programme; base: Programme | undefined }) {
  const navigate = useNavigate();
  const [unit] = useUnit();
  const own = programme.base !== undefined;
  const start = {
    title: own ? programmeTitle(programme) : t('catalogue.ownTitle', { family: programmeTitle(programme) }),
    between: programme.between ?? ('chart' as BetweenRule | 'chart'),
    injuries: ownInjuries(programme).join('\n'),
    typed: {} as Record<string, string>,
    taken: [] as string[],
  };
  const [draft, setDraft] = useDraft(`family-${programme.id}-${programme.version}`, start);
  const { title, between, injuries, typed, taken = [] } = draft;
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<string>();
  const post = useMutation({
    mutationFn: (content: Programme) => call('POST', '/catalogue/programmes', content),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      setDraft(start);
      await navigate('/catalogue');
    },
    onError: (error) => setProblem(sayRefusal(error, t('catalogue.notSaved'))),
  });
  const steps = programme.measuring.filter(isReadingStep);
  const shown = (step: Reading, field: Editable): string => {
    const value = field === 'distance' ? (step as { distance?: number | 'model' }).distance : step.tolerance;
    return value === 'model' || value === undefined ? '' : formatNumber(value, unitOf(step), unit);
  };
  const keyOf = (step: Reading, field: Editable) => `${step.id} ${field}`;

  const save = () => {
    const faults: string[] = [];
    const measuring = programme.measuring.map((step): ProtocolStep => {
      if (!isReadingStep(step)) return step;
      const read = (field: Editable): number | undefined => {
        const text = typed[keyOf(step, field)]?.trim();
        if (text === undefined || text === '') return undefined;
        const minus = /^[-−]/.test(text);
        const kept = unitOf(step);
        const value = readQuantity(
          minus ? text.slice(1) : text,
          kept === 'mm' ? 'length' : kept === 'kg' ? 'mass' : 'count',
          unit,
        );
        if ('value' in value && (field === 'distance' || value.value > 0))
          return minus ? -value.value : value.value;
        faults.push(keyOf(step, field));
        return undefined;
      };
      const [distance, tolerance] = [step.kind === 'girth' ? read('distance') : undefined, read('tolerance')];
      return {
        ...step,
        ...(distance === undefined ? {} : { distance }),
        ...(tolerance === undefined ? {} : { tolerance }),
      } as ProtocolStep;
    });
    setWrong(faults);
    if (title.trim().length < 3) return setProblem(t('catalogue.titleNeeded'));
    if (faults.length > 0) return setProblem(t('common.notANumber'));
    // what is taken over of its family comes with the family's own numbers; the others are those typed here
    const changed = { ...programme, measuring };
    const held = base
      ? withDifferences(changed, base, chosenDifferences(changed, base, taken))
      : { ...changed, baseVersion: programme.version };
    const { between: _between, ...rest } = held;
    const content: Programme = {
      ...rest,
      id: own ? programme.id : `own-${programme.id.slice(0, 40)}-${Date.now().toString(36)}`,
      version: own ? programme.version + 1 : 1,
      base: programme.base ?? programme.id,
      title: title.trim(),
      ...(between === 'chart' ? {} : { between }),
    };
    post.mutate(withOwnInjuries(content, injuries.split('\n')));
  };
  return (
    <Page>
      <Stack $gap={2}>
        <Link to="/catalogue">{t('nav.catalogue')}</Link>
        <h1>
          {t(own ? 'catalogue.changeTitle' : 'catalogue.copyTitle', { family: programmeTitle(programme) })}
        </h1>
        <Soft>{t('catalogue.copyHow')}</Soft>
      </Stack>
      <Sheet>
        <Stack>
          <Field
            label={t('catalogue.title')}
            value={title}
            onChange={(text) => setDraft({ ...draft, title: text })}
            maxLength={80}
          />
          <Table>
            <thead>
              <tr>
                <th scope="col">{t('measuring.taken')}</th>
                <th scope="col">{t('catalogue.distanceFrom')}</th>
                <th scope="col">{t('catalogue.tolerance')}</th>
              </tr>
            </thead>
            <tbody>
              {steps.map((step) => (
                <tr key={step.id}>
                  <th scope="row">
                    {named('steps', step.id)}
                    {step.kind === 'girth' && (
                      <>
                        <br />
                        <small style={{ color: color('soft') }}>
                          {t('catalogue.fromLandmark', { landmark: named('landmarks', step.from) })}
                        </small>
                      </>
                    )}
                  </th>
                  {(['distance', 'tolerance'] as const).map((field) => (
                    <td key={field}>
                      {(field === 'tolerance' || step.kind === 'girth') && (
                        <label>
                          <CellInput
                            wide
                            label={`${named('steps', step.id)}, ${t(field === 'distance' ? 'catalogue.distanceFrom' : 'catalogue.tolerance')}`}
                            problem={wrong.includes(keyOf(step, field)) ? t('common.notANumber') : undefined}
                            placeholder={field === 'distance' ? t('catalogue.modelsOwn') : ''}
                            value={typed[keyOf(step, field)] ?? shown(step, field)}
                            onChange={(text) =>
                              setDraft({ ...draft, typed: { ...typed, [keyOf(step, field)]: text } })
                            }
                          />{' '}
                          {unitSign(unitOf(step), unit)}
                        </label>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
          <Choice
            label={t('catalogue.between')}
            options={[
              { value: 'chart' as const, label: t('catalogue.chartsOwn') },
              ...betweenRules.map((value) => ({ value, label: named('between', value) })),
            ]}
            value={between}
            onChange={(chosen) => setDraft({ ...draft, between: chosen })}
          />
          {base && (
            <FamilyDifferences
              own={programme}
              base={base}
              chosen={taken}
              onChange={(chosen) => setDraft({ ...draft, taken: chosen })}
            />
          )}
          <Field
            label={t('catalogue.ownInjuries')}
            help={t('catalogue.ownInjuriesHow')}
            lines={3}
            value={injuries}
            onChange={(text) => setDraft({ ...draft, injuries: text })}
            maxLength={1600}
          />
          <Notice tone="caution">{t('catalogue.ownCaution')}</Notice>
          {problem && (
            <Notice tone="stop" live>
              {problem}
            </Notice>
          )}
          <Row>
            <Button look="main" isDisabled={post.isPending} onPress={save}>
              {t(own ? 'catalogue.saveFamilyVersion' : 'catalogue.saveFamily', {
                version: programme.version + 1,
              })}
            </Button>
            <Button look="quiet" onPress={() => void navigate('/catalogue')}>
              {t('common.cancel')}
            </Button>
          </Row>
        </Stack>
      </Sheet>
    </Page>
  );
}
