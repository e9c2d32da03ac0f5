import { readPhases, weekReadings, type WeekReading } from '@estribo/core/order';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useKeepTemplate, usePhaseTemplates, useRemoveTemplate } from '../api/phase-templates';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Fold } from '../parts/fold';
import { formatWindow } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { heldJoint, typedPhase, type TypedPhase } from './order-values';

const List = styled.ol`
  margin: 0;
  padding-left: 22px;
  font-size: ${size.small};
  & li {
    padding: 3px 0;
  }
  & b {
    color: ${color('ochre')};
  }
`;

/**
 * Phases out of text as prescribers write it, or out of one of the clinic's own templates: read, shown, asked about, and taken
 * over into the form, where every one of them is still to be confirmed.
 */
export function PastePhases({ onTake }: { onTake: (phases: TypedPhase[]) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Fold title={t('paste.title')} isOpen={open} onOpen={setOpen}>
      <Pasted
        onTake={(phases) => {
          onTake(phases);
          setOpen(false);
        }}
      />
    </Fold>
  );
}

function Pasted({ onTake }: { onTake: (phases: TypedPhase[]) => void }) {
  const { state } = useWork();
  const [text, setText] = useDraft(`${state.case}-phase-text`);
  const [weeks, setWeeks] = useState<WeekReading>();
  const [chosen, choose] = useState('');
  const templates = usePhaseTemplates();
  const remove = useRemoveTemplate();
  const { phases, notUnderstood, weeks: read } = readPhases(text, weeks);
  const template = templates.find(({ id }) => id === chosen);
  return (
    <Stack $gap={10}>
      {templates.length > 0 && (
        <Row $align="flex-end">
          <Pick
            label={t('paste.template')}
            value={chosen}
            options={[
              { value: '', label: t('paste.templateNone') },
              ...templates.map(({ id, name, invented }) => ({
                value: id,
                label: invented ? t('paste.templateInvented', { name }) : name,
              })),
            ]}
            onChange={(id) => {
              choose(id);
              setText(templates.find((one) => one.id === id)?.text ?? '');
            }}
          />
          {template && (
            <>
              <Soft>{t('paste.templateCaution')}</Soft>
              <Button
                look="quiet"
                isDisabled={remove.isPending}
                onPress={() => remove.mutate(template.id, { onSuccess: () => choose('') })}
              >
                {t('paste.remove')}
              </Button>
            </>
          )}
        </Row>
      )}
      <Field
        label={t('paste.text')}
        help={t('paste.how')}
        value={text}
        onChange={setText}
        lines={3}
        maxLength={2000}
      />
      {read && (
        <Choice
          label={t('paste.weeks')}
          options={weekReadings.map((value) => ({ value, label: t(`paste.weekReadings.${value}`) }))}
          value={read}
          onChange={setWeeks}
        />
      )}
      {phases.length > 0 && (
        <List>
          {phases.map(({ fromDay, lastDay, window, free, lock, weight, asks }, i) => (
            <li key={i}>
              {lastDay === undefined
                ? t('paste.phaseOpen', { from: fromDay })
                : t('paste.phase', { from: fromDay, last: lastDay })}
              {': '}
              {[
                free || Object.keys(window).length > 0
                  ? formatWindow(window, heldJoint(state.programme))
                  : '',
                lock
                  ? `${t('paste.locked', { angle: lock.at ?? '?' })}${lock.when ? `, ${named('lockWhen', lock.when)}` : ''}`
                  : '',
                weight ? named('weightBearing', weight) : '',
              ]
                .filter(Boolean)
                .join('; ')}{' '}
              {asks.length > 0 && <b>{asks.map((ask) => t(`paste.asks.${ask}`)).join(' ')}</b>}
            </li>
          ))}
        </List>
      )}
      {notUnderstood.length > 0 && (
        <Notice tone="caution">
          {t('paste.notUnderstood')} “{notUnderstood.join('”, “')}”
        </Notice>
      )}
      {phases.length > 0 && (
        <Row>
          <Button
            look="main"
            onPress={() => onTake(phases.map((phase) => typedPhase(phase, state.programme)))}
          >
            {t('paste.take')}
          </Button>
          <KeepTemplate text={text} />
        </Row>
      )}
    </Stack>
  );
}

/** Keeps the text as a template of the clinic's own. */
function KeepTemplate({ text }: { text: string }) {
  const [name, setName] = useState<string>();
  const keep = useKeepTemplate();
  if (keep.isSuccess) return <Soft>{t('paste.kept')}</Soft>;
  if (name === undefined)
    return (
      <Button look="quiet" onPress={() => setName('')}>
        {t('paste.keep')}
      </Button>
    );
  return (
    <Row $align="flex-end">
      <Field
        label={t('paste.templateName')}
        value={name}
        onChange={setName}
        maxLength={80}
        autoFocus
        problem={keep.isError ? keep.error.message : undefined}
      />
      <Button
        isDisabled={name.trim().length < 3 || keep.isPending}
        onPress={() => keep.mutate({ name: name.trim(), text })}
      >
        {t('paste.keep')}
      </Button>
    </Row>
  );
}
