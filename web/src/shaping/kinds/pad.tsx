import styled from 'styled-components';
import { useMay, useSelection, useWork } from '../../case/case-context';
import { color } from '../../look/tokens';
import { named, t } from '../../messages';
import { partName } from '../../messages/fitting';
import { Button } from '../../parts/button';
import { Row, Soft, Stack } from '../../parts/layout';
import { useSaving } from '../../parts/use-saving';
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

export const pad: OperationScreen = {
  // pads that lie under other parts are work like any other
  Piece: ({ work, stage }) =>
    work.parts.every(({ kind }) => kind === 'pad') ? (
      <Pads work={work} stage={stage} />
    ) : (
      <PlainWork work={work} stage={stage} />
    ),
};
