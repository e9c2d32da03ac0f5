import { partsOfKind, stances } from '@estribo/core/brace';
import { knownInjuries } from '@estribo/core/order';
import { partsOf, type BraceModel, type Programme } from '@estribo/core/programmes';
import { handlings, people, purposes, type Sequence } from '@estribo/core/strapping';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { injuryName, partName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { Tick } from '../parts/tick';
import {
  emptyList,
  emptyStep,
  listProblems,
  withList,
  withoutList,
  writtenKinds,
  writtenOf,
  type ListProblem,
  type WrittenList,
  type WrittenStep,
} from './own-list';

const StepBox = styled.li`
  border: 1px solid ${color('line')};
  border-radius: 4px;
  padding: 10px 12px;
  display: grid;
  gap: 8px;
`;

interface Edited {
  model: BraceModel;
  programme: Programme;
  mayWrite: boolean;
  onSave: (model: BraceModel) => Promise<unknown>;
}

/** Lists that the maker keeps and the trade does not have: entered by the clinic from the model's leaflet, a version each. */
export function ModelLists({ model, programme, mayWrite, onSave }: Edited) {
  const own = model.sequences ?? [];
  const [edited, edit] = useDraft<WrittenList | null>(`lists-${model.id}-${model.version}`, null);
  if (!mayWrite && own.length === 0) return null;
  return (
    <Sheet>
      <Stack $gap={12}>
        <h2>{t('ownLists.title')}</h2>
        <Soft>{t('ownLists.how')}</Soft>
        {own.map((list) => (
          <Stack key={list.id} $gap={4}>
            <Row>
              <b>{model.words?.lists?.[list.id]}</b>
              <Soft>
                {[
                  t(`ownLists.purpose.${list.purpose}`),
                  list.when?.kind === 'injury'
                    ? injuryName(programme, list.when.is)
                    : t('ownLists.anyInjury'),
                ].join(', ')}
              </Soft>
              {mayWrite && !edited && (
                <>
                  <Button look="quiet" onPress={() => edit(writtenOf(list, model.words))}>
                    {t('ownLists.change')}
                  </Button>
                  <Button look="quiet" onPress={() => void onSave(withoutList(model, list.id))}>
                    {t('ownLists.remove')}
                  </Button>
                </>
              )}
            </Row>
            <ol>
              {list.steps.map(({ id }, i) => (
                <li key={id}>
                  {i + 1}. {model.words?.steps?.[id]?.name}
                </li>
              ))}
            </ol>
          </Stack>
        ))}
        {mayWrite &&
          (edited ? (
            <EditList
              model={model}
              programme={programme}
              list={edited}
              onChange={edit}
              onCancel={() => edit(null)}
              onSave={(next) => onSave(next).then(() => edit(null))}
            />
          ) : (
            <Row>
              <Button onPress={() => edit(emptyList(`own-${Date.now().toString(36)}`))}>
                {t('ownLists.enter')}
              </Button>
            </Row>
          ))}
      </Stack>
    </Sheet>
  );
}

function EditList({
  model,
  programme,
  list,
  onChange,
  onCancel,
  onSave,
}: {
  model: BraceModel;
  programme: Programme;
  list: WrittenList;
  onChange: (list: WrittenList) => void;
  onCancel: () => void;
  onSave: (model: BraceModel) => Promise<unknown>;
}) {
  const [problems, setProblems] = useState<ListProblem[]>([]);
  const [refused, refuse] = useState(false);
  const [busy, setBusy] = useState(false);
  const change = (more: Partial<WrittenList>) => {
    setProblems([]);
    onChange({ ...list, ...more });
  };
  const changeStep = (i: number, more: Partial<WrittenStep>) =>
    change({ steps: list.steps.map((step, n) => (n === i ? { ...step, ...more } : step)) });
  const move = (i: number, by: -1 | 1) => {
    const steps = [...list.steps];
    const [one] = steps.splice(i, 1);
    steps.splice(i + by, 0, one!);
    change({ steps });
  };
  const save = () => {
    const found = listProblems(list);
    setProblems(found);
    if (found.length > 0) return;
    const next = withList(model, programme, list);
    if (!next) return refuse(true);
    setBusy(true);
    void onSave(next).finally(() => setBusy(false));
  };
  const has = (at: 'name' | 'people' | 'steps') => problems.some((one) => one.at === at);
  return (
    <Stack $gap={12}>
      <Row $align="flex-start">
        <Field
          label={t('ownLists.name')}
          value={list.name}
          onChange={(name) => change({ name })}
          maxLength={80}
          problem={has('name') ? t('ownLists.nameNeeded') : undefined}
        />
        <Pick
          label={t('ownLists.purposeLabel')}
          options={purposes.map((value) => ({ value, label: t(`ownLists.purpose.${value}`) }))}
          value={list.purpose}
          onChange={(value) => change({ purpose: value as Sequence['purpose'] })}
        />
        <Pick
          label={t('ownLists.injury')}
          options={[
            { value: '', label: t('ownLists.anyInjury') },
            ...[...new Set([...(programme.injuries ?? []), ...knownInjuries])].map((value) => ({
              value,
              label: injuryName(programme, value),
            })),
          ]}
          value={list.injury}
          onChange={(injury) => change({ injury })}
        />
      </Row>
      <Row>
        {people.map((who) => (
          <Tick
            key={who}
            isSelected={list.people.includes(who)}
            onChange={(on) =>
              change({ people: on ? [...list.people, who] : list.people.filter((one) => one !== who) })
            }
          >
            {named('people', who)}
          </Tick>
        ))}
        {has('people') && <Soft role="alert">{t('ownLists.peopleNeeded')}</Soft>}
      </Row>
      <Choice
        label={t('ownLists.handling')}
        options={[
          { value: '', label: t('ownLists.handled.none') },
          ...handlings.map((value) => ({ value, label: t(`ownLists.handled.${value}`) })),
        ]}
        value={list.handling}
        onChange={(value) => change({ handling: value as WrittenList['handling'] })}
      />
      <Stack as="ol" $gap={8}>
        {list.steps.map((step, i) => (
          <EditStep
            key={i}
            index={i}
            last={i === list.steps.length - 1}
            step={step}
            model={model}
            programme={programme}
            problems={problems.flatMap((one) => (one.at === 'step' && one.step === i ? [one.what] : []))}
            onChange={(more) => changeStep(i, more)}
            onMove={(by) => move(i, by)}
            onRemove={() => change({ steps: list.steps.filter((_, n) => n !== i) })}
          />
        ))}
      </Stack>
      {has('steps') && <Notice tone="stop">{t('ownLists.stepsNeeded')}</Notice>}
      <Row>
        <Button onPress={() => change({ steps: [...list.steps, emptyStep] })}>{t('ownLists.addStep')}</Button>
      </Row>
      <Tick isSelected={list.again} onChange={(again) => change({ again })}>
        {t('ownLists.again')}
      </Tick>
      {problems.length > 0 && (
        <Notice tone="stop" live>
          {t('ownLists.lookAgain', { count: problems.length })}
        </Notice>
      )}
      {refused && (
        <Notice tone="stop" live>
          {t('ownLists.refused')}
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={save} isDisabled={busy}>
          {t('ownLists.save')}
        </Button>
        <Button onPress={onCancel}>{t('common.cancel')}</Button>
      </Row>
    </Stack>
  );
}

function EditStep({
  index,
  last,
  step,
  model,
  programme,
  problems,
  onChange,
  onMove,
  onRemove,
}: {
  index: number;
  last: boolean;
  step: WrittenStep;
  model: BraceModel;
  programme: Programme;
  problems: ('name' | 'part' | 'angle' | 'minutes')[];
  onChange: (more: Partial<WrittenStep>) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}) {
  const n = index + 1;
  const closes = partsOfKind(partsOf(programme, model), 'strap', 'wing');
  const isRest = step.kind === 'walk' || step.kind === 'sit';
  return (
    <StepBox aria-label={t('ownLists.stepNumber', { n })}>
      <Row style={{ justifyContent: 'space-between' }}>
        <Choice
          label={t('ownLists.stepNumber', { n })}
          options={writtenKinds.map((value) => ({ value, label: t(`ownLists.kind.${value}`) }))}
          value={step.kind}
          onChange={(kind) => onChange({ kind: kind as WrittenStep['kind'] })}
        />
        <Row $gap={4}>
          <Button
            look="quiet"
            isDisabled={index === 0}
            onPress={() => onMove(-1)}
            aria-label={t('ownLists.up', { n })}
          >
            <ArrowUp size={18} aria-hidden />
          </Button>
          <Button
            look="quiet"
            isDisabled={last}
            onPress={() => onMove(1)}
            aria-label={t('ownLists.down', { n })}
          >
            <ArrowDown size={18} aria-hidden />
          </Button>
          <Button look="quiet" onPress={onRemove} aria-label={t('ownLists.removeStep', { n })}>
            <X size={18} aria-hidden />
          </Button>
        </Row>
      </Row>
      <Row $align="flex-start">
        <Field
          label={t('ownLists.stepName', { n })}
          value={step.name}
          onChange={(name) => onChange({ name })}
          maxLength={80}
          problem={problems.includes('name') ? t('ownLists.nameNeeded') : undefined}
        />
        <Field
          label={t('ownLists.stepHold', { n })}
          value={step.hold}
          onChange={(hold) => onChange({ hold })}
          maxLength={200}
        />
        <Field
          label={t('ownLists.stepCaution', { n })}
          value={step.caution}
          onChange={(caution) => onChange({ caution })}
          maxLength={200}
        />
      </Row>
      <Row $align="flex-start">
        {step.kind === 'strap' && (
          <Stack $gap={2}>
            <Pick
              label={t('ownLists.part', { n })}
              options={closes.map(({ id }) => ({ value: id, label: partName(programme, id) }))}
              value={step.part}
              onChange={(part) => onChange({ part })}
            />
            {problems.includes('part') && <Soft role="alert">{t('ownLists.partNeeded')}</Soft>}
          </Stack>
        )}
        {isRest && (
          <Field
            label={t('ownLists.minutes', { n })}
            value={step.minutes}
            onChange={(minutes) => onChange({ minutes })}
            maxLength={5}
            problem={problems.includes('minutes') ? t('ownLists.minutesWrong') : undefined}
          />
        )}
        <Pick
          label={t('ownLists.stance', { n })}
          options={[
            { value: '', label: t('ownLists.noStance') },
            ...stances.map((value) => ({ value, label: named('steps', value) })),
          ]}
          value={step.stance}
          onChange={(stance) => onChange({ stance })}
        />
        {programme.joint && (
          <Field
            label={t('ownLists.angle', { n, joint: named('joints', programme.joint) })}
            value={step.angle}
            onChange={(angle) => onChange({ angle })}
            maxLength={5}
            problem={problems.includes('angle') ? t('ownLists.angleWrong') : undefined}
          />
        )}
      </Row>
    </StepBox>
  );
}
