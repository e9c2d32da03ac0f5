import {
  isOneSchedule,
  minusReadings,
  readPhases,
  untilReadings,
  weekReadings,
  type PhaseQuestion,
  type ReadingOf,
  type ReadSchedule,
} from '@estribo/core/order';
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
export function PastePhases({ dayZero, onTake }: PasteProps) {
  const [open, setOpen] = useState(false);
  return (
    <Fold title={t('paste.title')} isOpen={open} onOpen={setOpen}>
      <Pasted
        dayZero={dayZero}
        onTake={(phases, text) => {
          onTake(phases, text);
          setOpen(false);
        }}
      />
    </Fold>
  );
}

interface PasteProps {
  /** the day that dates in the text are counted from, once it is known */
  dayZero: string | undefined;
  /** the phases as they are typed, and the text they were read from */
  onTake: (phases: TypedPhase[], text: string) => void;
}

const Track = styled.div`
  display: flex;
  gap: 2px;
  height: 30px;
  & > span {
    min-width: 2px;
    overflow: hidden;
    white-space: nowrap;
    font-size: ${size.small};
    line-height: 30px;
    padding-left: 6px;
    color: ${color('sheet')};
    background: ${color('saddle')};
  }
  & > span[data-asked] {
    background: repeating-linear-gradient(45deg, ${color('ochre')} 0 6px, ${color('saddleDeep')} 6px 12px);
  }
`;

/** Days that a phase without an end is drawn with. */
const openEnd = 14;

/** The schedule as a bar of days; a phase of which something is asked is hatched. */
function Bar({ phases }: Pick<ReadSchedule, 'phases'>) {
  if (phases.length === 0) return null;
  return (
    <Track aria-hidden>
      {phases.map(({ fromDay, lastDay, window, free, lock, asks }, i) => (
        <span
          key={i}
          data-asked={asks.length > 0 || undefined}
          style={{ flexGrow: Math.max(1, (lastDay ?? fromDay + openEnd) - fromDay + 1) }}
        >
          {free
            ? t('order.free')
            : lock && window.flexion === undefined
              ? t('paste.locked', { angle: lock.at ?? '?' })
              : `${window.extension ?? '?'}–${window.flexion ?? '?'}°`}
        </span>
      ))}
    </Track>
  );
}

function Pasted({ dayZero, onTake }: PasteProps) {
  const { state } = useWork();
  const [text, setText] = useDraft(`${state.case}-phase-text`);
  const [answers, answer] = useState<Pick<ReadingOf, 'weeks' | 'until' | 'minus'>>({});
  const [chosen, choose] = useState('');
  const templates = usePhaseTemplates();
  const remove = useRemoveTemplate();
  const read = readPhases(text, {
    ...answers,
    joint: state.programme.joint,
    ...(dayZero ? { dayZero } : {}),
  });
  const { phases, notUnderstood } = read;
  const isAsked = (what: PhaseQuestion) => phases.some(({ asks }) => asks.includes(what));
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
      {(isAsked('week-reading') || answers.weeks) && (
        <Choice
          label={t('paste.weeks')}
          options={weekReadings.map((value) => ({ value, label: t(`paste.weekReadings.${value}`) }))}
          value={answers.weeks}
          onChange={(weeks) => answer({ ...answers, weeks })}
        />
      )}
      {(isAsked('until-week') || answers.until) && (
        <Choice
          label={t('paste.until')}
          options={untilReadings.map((value) => ({ value, label: t(`paste.untilReadings.${value}`) }))}
          value={answers.until}
          onChange={(until) => answer({ ...answers, until })}
        />
      )}
      {(isAsked('minus') || answers.minus) && (
        <Choice
          label={t('paste.minus')}
          options={minusReadings.map((value) => ({ value, label: t(`paste.minusReadings.${value}`) }))}
          value={answers.minus}
          onChange={(minus) => answer({ ...answers, minus })}
        />
      )}
      <Bar phases={phases} />
      {phases.length > 0 && (
        <List>
          {phases.map(({ fromDay, lastDay, window, free, lock, weight, asks, gapBefore }, i) => (
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
                  ? [
                      t('paste.locked', { angle: lock.at ?? '?' }),
                      ...lock.when.map((when) => named('lockWhen', when)),
                    ].join(', ')
                  : '',
                weight ? named('weightBearing', weight) : '',
              ]
                .filter(Boolean)
                .join('; ')}{' '}
              {gapBefore && `${t('paste.gapBefore')} `}
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
            isDisabled={!isOneSchedule(read)}
            onPress={() =>
              onTake(
                phases.map((phase) => typedPhase(phase, state.programme)),
                text.trim(),
              )
            }
          >
            {t('paste.take')}
          </Button>
          {!isOneSchedule(read) && <Soft>{t('paste.takeFirst')}</Soft>}
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
