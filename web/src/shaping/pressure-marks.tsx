import { datumOf } from '@estribo/core/anatomy';
import { type BodyOf } from '@estribo/core/logbook';
import {
  markWays,
  partsWorkedOn,
  type MarkWay,
  type Operation,
  type PressureMark,
} from '@estribo/core/shaping';
import { operationsOf } from '@estribo/core/programmes';
import { useState } from 'react';
import styled from 'styled-components';
import { useFigurePointing, useMay, useSelection, useWork } from '../case/case-context';
import { useEntryForm } from '../entry-form/use-entry-form';
import type { SpotAt } from '../figure/layer';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { partName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { formatDistance, formatReading } from '../parts/format';
import { Row, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { useSaving } from '../parts/use-saving';
import type { WorkStage } from './kinds/piece';
import { LengthField } from './length-field';
import { thickness } from './read-station';

const Line = styled.li<{ $now: boolean }>`
  padding: 10px 12px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
`;

/** Which kind of work answers a mark. */
const kindOf: Record<MarkWay, Operation['kind']> = { trim: 'trim', flare: 'flare', relieve: 'mould' };

/** Marks are for what is trimmed, flared or formed to the body: parts that such work is done on. */
const markedParts = (operations: readonly Operation[], parts: Parameters<typeof partsWorkedOn>[1]) => {
  const worked = operations
    .filter(({ kind }) => kind === 'trim' || kind === 'flare' || kind === 'mould')
    .flatMap((operation) => partsWorkedOn(operation, parts));
  return [...new Map(worked.map((part) => [part.id, part])).values()];
};

/**
 * Marks of pressure: placed on the figure, each with what and how much; worked off, refitted, looked at again. The brace is not
 * checked while one is open.
 */
export function PressureMarks({ stage }: { stage: WorkStage }) {
  const { state } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const { marks } = state.shaping;
  return (
    <Stack $gap={12}>
      <div>
        <h2>{t('shaping.marks')}</h2>
        <Soft>{t('shaping.marksHow')}</Soft>
      </div>
      {marks.length > 0 && (
        <Stack as="ol" $gap={8}>
          {marks.map((mark, i) => (
            <MarkLine key={mark.entry} mark={mark} number={i + 1} stage={stage} />
          ))}
        </Stack>
      )}
      {mayShape && <NewMark />}
    </Stack>
  );
}

function MarkLine({ mark, number, stage }: { mark: PressureMark; number: number; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const { selected, select } = useSelection();
  const mayShape = useMay(stage)('shaping.write');
  const [looking, save] = useSaving();
  const operation = operationsOf(state.programme).find(
    (one) =>
      one.kind === kindOf[mark.way] && partsWorkedOn(one, state.parts).some(({ id }) => id === mark.part),
  );
  const left = Math.max(0, mark.amount - mark.taken);
  const takenOff = t('shaping.takenOff', { amount: formatReading(left || mark.amount, 'mm', unit) });
  const work = useEntryForm({
    kind: 'work.done',
    stage,
    draft: `mark-${mark.entry}`,
    empty: { amount: '' },
    body: (_typed, { numberOrNone }) => ({
      operation: operation!.id,
      part: mark.part,
      amount:
        numberOrNone('amount', { label: takenOff, quantity: 'length', bounds: thickness }) ??
        (left || mark.amount),
      mark: mark.entry,
    }),
  });
  const saving = looking || work.saving;
  const look = (clear: boolean) =>
    void save(() => write('shape.looked', 'shape', { mark: mark.entry, clear }));
  return (
    <Line
      $now={selected === mark.entry}
      onMouseEnter={() => select(mark.entry)}
      onFocus={() => select(mark.entry)}
    >
      <Stack $gap={8}>
        <div>
          <b>
            {number}. {t(`shaping.markSaid.${mark.way}`, { amount: formatReading(mark.amount, 'mm', unit) })}
          </b>{' '}
          {partName(state.programme, mark.part)}, {named('face', mark.at.face)}
          {mark.taken > 0 && (
            <Small> {t('shaping.taken', { amount: formatReading(mark.taken, 'mm', unit) })}</Small>
          )}
          {mark.note && <Soft>{mark.note}</Soft>}
        </div>
        <Soft>{t(`shaping.markState.${mark.state}`)}</Soft>
        {mayShape && mark.state === 'marked' && (
          <Row $align="flex-end">
            <LengthField
              label={takenOff}
              unit={unit}
              value={work.typed.amount}
              onChange={(amount) => work.type({ amount })}
              onEnter={operation && work.submit}
              problem={work.problems.amount}
            />
            <Button look="main" onPress={work.submit} isDisabled={saving || !operation}>
              {t(`shaping.markWorked.${mark.way}`, { number })}
            </Button>
            <Button look="quiet" onPress={() => look(true)} isDisabled={saving}>
              {t('shaping.clearByItself', { number })}
            </Button>
          </Row>
        )}
        {mayShape && mark.state === 'refit' && (
          <Row>
            <Button look="main" onPress={() => look(true)} isDisabled={saving}>
              {t('shaping.lookedClear', { number })}
            </Button>
            <Button onPress={() => look(false)} isDisabled={saving}>
              {t('shaping.stillPresses', { number })}
            </Button>
          </Row>
        )}
      </Stack>
    </Line>
  );
}

interface Draft {
  /** where the figure was touched; else the face and a level are told */
  spot: SpotAt | null;
  face: string;
  /** empty: the first there is */
  part: string;
  way: MarkWay | '';
  amount: string;
  level: string;
}

const noMark: Draft = { spot: null, face: '', part: '', way: '', amount: '', level: '' };

/** A new mark: touched on the figure or told by its level and face. */
function NewMark() {
  const { state, unit } = useWork();
  const { programme } = state;
  const parts = markedParts(operationsOf(programme), state.parts);
  const ways = markWays.filter((way) => operationsOf(programme).some(({ kind }) => kind === kindOf[way]));
  const [pointing, point] = useState(false);
  const faces = programme.region === 'leg' || programme.region === 'ankle' ? legFaces : trunkFaces;
  const faceOf = ({ face }: Draft) => faces.find((one) => one === face) ?? faces[0];
  const {
    typed: draft,
    type: change,
    problems: problem,
    saving,
    submit: take,
  } = useEntryForm({
    kind: 'shape.marked',
    stage: 'shape',
    draft: 'mark',
    empty: noMark,
    body: (typed, { number, wrong }) => {
      const level =
        typed.level.trim() === ''
          ? undefined
          : number('level', { label: t('shaping.markLevel'), quantity: 'distance', path: 'offset' });
      if (!typed.spot && level === undefined) wrong('level', t('shaping.whereIsMark'));
      const spot = typed.spot ?? { level: 0, face: faceOf(typed), aside: 0 };
      return {
        part: typed.part || parts[0]!.id,
        from: datumOf[programme.region],
        offset: level ?? spot.level,
        face: spot.face as BodyOf<'shape.marked'>['face'],
        aside: spot.aside,
        way: typed.way || ways[0]!,
        amount: number('amount', { label: t('shaping.markAmount'), quantity: 'length', bounds: thickness }),
      };
    },
  });
  useFigurePointing(
    pointing
      ? {
          kind: 'spot',
          label: t('shaping.touchWhere'),
          onSpot: (spot) => {
            point(false);
            // a part that lies on the face that was touched
            const there = parts.find((part) => 'faces' in part && part.faces.includes(spot.face));
            change({ spot, face: spot.face, level: '', ...(there ? { part: there.id } : {}) });
          },
        }
      : undefined,
  );
  const face = faceOf(draft);
  return (
    <Stack $gap={10}>
      <Row>
        <Button look={pointing ? 'main' : 'second'} aria-pressed={pointing} onPress={() => point(!pointing)}>
          {t(pointing ? 'shaping.touchNow' : 'shaping.placeMark')}
        </Button>
        {draft.spot && (
          <Soft>
            {t('shaping.spotAt', {
              face: named('face', draft.spot.face),
              level: formatDistance(draft.spot.level, unit),
              mark: named('landmarks', datumOf[programme.region]),
            })}
          </Soft>
        )}
      </Row>
      <Choice
        label={t('shaping.markFace')}
        options={faces.map((value) => ({ value, label: named('face', value) }))}
        value={face}
        onChange={(chosen) =>
          change({ face: chosen, spot: draft.spot && { ...draft.spot, face: chosen, aside: 0 } })
        }
      />
      <Row $align="flex-end">
        <LengthField
          label={t('shaping.markLevel')}
          unit={unit}
          signed
          value={draft.level}
          minusSaid={(length) => t('shaping.belowMark', { length })}
          onChange={(level) => change({ level })}
          problem={problem.level}
        />
        {parts.length > 1 && (
          <Pick
            label={t('shaping.markPart')}
            options={parts.map(({ id }) => ({ value: id, label: partName(programme, id) }))}
            value={draft.part || parts[0]!.id}
            onChange={(part) => change({ part })}
          />
        )}
      </Row>
      <Row $align="flex-end">
        <Choice
          label={t('shaping.markWay')}
          options={ways.map((value) => ({ value, label: named('markWay', value) }))}
          value={draft.way || ways[0]!}
          onChange={(way) => change({ way })}
        />
        <LengthField
          label={t('shaping.markAmount')}
          unit={unit}
          value={draft.amount}
          onChange={(amount) => change({ amount })}
          onEnter={take}
          problem={problem.amount}
        />
        <Button onPress={take} isDisabled={saving}>
          {t('shaping.takeMark')}
        </Button>
      </Row>
      <Notice tone="caution">{t('shaping.cautionTrim')}</Notice>
    </Stack>
  );
}

const legFaces = ['front', 'medial', 'lateral', 'back'] as const;
const trunkFaces = ['front', 'right', 'left', 'back'] as const;
