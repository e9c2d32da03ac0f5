import styled from 'styled-components';
import { color, size } from '../look/tokens';

/** A row of small holes: how far a sequence is. */
const Track = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

const Hole = styled.li<{ $state: 'done' | 'now' | 'ahead' }>`
  min-width: 26px;
  height: 26px;
  padding: 0 6px;
  border-radius: 13px;
  display: grid;
  place-items: center;
  font-size: ${size.small};
  font-weight: 700;
  background: ${({ $state }) => ($state === 'done' ? color('mossWash') : $state === 'now' ? color('river') : color('band'))};
  color: ${({ $state }) => ($state === 'done' ? color('moss') : $state === 'now' ? color('onRiver') : color('soft'))};
  border: 1px solid
    ${({ $state }) => ($state === 'done' ? color('moss') : $state === 'now' ? color('river') : color('line'))};
`;

/** A hole that may be taken before its turn: as large as it looks, and reached by a key. */
const Early = styled.button`
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  min-width: 24px;
  min-height: 24px;
  cursor: pointer;
`;

export function Steps({
  label,
  steps,
}: {
  label: string;
  steps: readonly {
    id: string;
    mark: string;
    name: string;
    state: 'done' | 'now' | 'ahead';
    /** it may be taken before its turn */
    onPress?: () => void;
  }[];
}) {
  return (
    <Track aria-label={label}>
      {steps.map(({ id, mark, name, state, onPress }) => (
        <Hole
          key={id}
          $state={state}
          title={name}
          aria-label={name}
          aria-current={state === 'now' ? 'step' : undefined}
        >
          {onPress ? (
            <Early type="button" aria-label={name} onClick={onPress}>
              {mark}
            </Early>
          ) : (
            <span aria-hidden>{state === 'done' ? '✓' : mark}</span>
          )}
        </Hole>
      ))}
    </Track>
  );
}
