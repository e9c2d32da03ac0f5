import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../../api/draft';
import { useMay, useSelection, useWork } from '../../case/case-context';
import { color } from '../../look/tokens';
import { named, t } from '../../messages';
import { partName } from '../../messages/fitting';
import { Button } from '../../parts/button';
import { Field } from '../../parts/field';
import { Fold } from '../../parts/fold';
import { Pick } from '../../parts/pick';
import { Row, Soft, Stack } from '../../parts/layout';
import { useSaving } from '../../parts/use-saving';
import { LengthField } from '../length-field';
import { readLength, thickness } from '../read-station';
import type { OperationScreen, WorkOf, WorkStage } from './piece';
import { PlainWork } from './plain';

const PadLine = styled.li<{ $now: boolean }>`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 6px 10px;
  border: 1px solid ${({ $now }) => color($now ? 'river' : 'line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & > div:first-child {
    flex: 1;
    min-width: 180px;
  }
`;

/** The brace's own pads: each placed, split or left out, as the scars advise. */
function Pads({ work: { operation }, stage }: { work: WorkOf; stage: WorkStage }) {
  const { state, write } = useWork();
  const { selected, select } = useSelection();
  const mayShape = useMay(stage)('shaping.write');
  const { pads } = state.shaping;
  const [saving, save] = useSaving();
  const left = pads.filter(({ done }) => !done);
  return (
    <>
      <Stack $gap={6} as="ul">
        {pads.map(({ pad, advice, done }) => (
          <PadLine key={pad.id} $now={selected === pad.id} onMouseEnter={() => select(pad.id)}>
            <div>
              <b>{partName(state.programme, pad.id)}</b>
              <Soft>{done ? named('padDone', done) : named('padAdvice', advice)}</Soft>
            </div>
            {mayShape && (
              <Row $gap={8}>
                {(pad.splits
                  ? (['placed', 'split', 'left-out'] as const)
                  : (['placed', 'left-out'] as const)
                ).map((how) => {
                  const advised =
                    !done &&
                    { place: 'placed', 'split-around': 'split', 'keep-off': 'left-out' }[advice] === how;
                  return (
                    <Button
                      key={how}
                      look={advised ? 'main' : 'second'}
                      isDisabled={saving || done === how}
                      aria-label={`${partName(state.programme, pad.id)}: ${named('padDone', how)}`}
                      onPress={() =>
                        void save(() =>
                          write('work.done', stage, { operation: operation.id, part: pad.id, way: how }),
                        )
                      }
                    >
                      {named('padDone', how)}
                    </Button>
                  );
                })}
              </Row>
            )}
          </PadLine>
        ))}
      </Stack>
      {mayShape && pads.some(({ done }) => done !== undefined && done !== 'left-out') && (
        <Fold title={t('shaping.padMore')}>
          <PadDetail operation={operation.id} stage={stage} />
        </Fold>
      )}
      {mayShape && left.length > 1 && left.every(({ advice }) => advice !== 'keep-off') && (
        <Row>
          <Button
            look="main"
            isDisabled={saving}
            onPress={() =>
              void save(async () => {
                for (const { pad, advice } of left)
                  await write('work.done', stage, {
                    operation: operation.id,
                    part: pad.id,
                    way: advice === 'split-around' ? 'split' : 'placed',
                  });
              })
            }
          >
            {t('shaping.allAsAdvised')}
          </Button>
        </Row>
      )}
    </>
  );
}

/** How thick a pad is that went in, and why: a thin one at the condyle, one under a strap that digs. */
function PadDetail({ operation, stage }: { operation: string; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const pads = state.shaping.pads.filter(({ done }) => done !== undefined && done !== 'left-out');
  const [typed, type] = useDraft(`${state.case}-pad`, { pad: '', thickness: '', why: '' });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const chosen = pads.find(({ pad: one }) => one.id === typed.pad) ?? pads[0]!;
  const take = () => {
    const read = readLength(typed.thickness, unit, thickness);
    if ('problem' in read) return setProblem(read.problem);
    void save(() =>
      write('work.done', stage, {
        operation,
        part: chosen.pad.id,
        way: chosen.done!,
        amount: read.value,
        ...(typed.why.trim() === '' ? {} : { because: typed.why.trim() }),
      }).then(() => type({ pad: chosen.pad.id, thickness: '', why: '' })),
    );
  };
  return (
    <Row $align="flex-end">
      <Pick
        label={t('shaping.part')}
        options={pads.map(({ pad: one }) => ({ value: one.id, label: partName(state.programme, one.id) }))}
        value={chosen.pad.id}
        onChange={(id) => type({ ...typed, pad: id })}
      />
      <LengthField
        label={t('shaping.padThickness')}
        unit={unit}
        value={typed.thickness}
        onChange={(thickness) => {
          type({ ...typed, thickness });
          setProblem(undefined);
        }}
        onEnter={take}
        problem={problem}
      />
      <Field
        label={t('shaping.padWhy')}
        value={typed.why}
        onChange={(why) => type({ ...typed, why })}
        maxLength={400}
      />
      <Button onPress={take} isDisabled={saving}>
        {t('shaping.padTake')}
      </Button>
    </Row>
  );
}

export const pad: OperationScreen = {
  // pads that lie under other parts are work like any other
  Piece: ({ work, stage }) =>
    work.parts.every(({ kind }) => kind === 'pad') ? (
      <Pads work={work} stage={stage} />
    ) : (
      <PlainWork work={work} stage={stage} />
    ),
};
