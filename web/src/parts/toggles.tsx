import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Group = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

const One = styled(ToggleButton)`
  min-height: 44px;
  padding: 8px 12px;
  border: 1px solid ${color('edge')};
  border-radius: 4px;
  background: ${color('sheet')};
  cursor: pointer;
  &[data-selected] {
    background: ${color('riverWash')};
    border: 2px solid ${color('river')};
    padding: 7px 11px;
    font-weight: 700;
  }
`;

/** Any of a few, all in sight. */
export function Toggles<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { value: T; label: string }[];
  value: readonly T[];
  onChange: (value: T[]) => void;
}) {
  return (
    <div role="group" aria-label={label}>
      <p aria-hidden style={{ fontSize: size.small, color: color('soft'), marginBottom: 4 }}>
        {label}
      </p>
      <Group
        selectionMode="multiple"
        selectedKeys={value}
        onSelectionChange={(keys) =>
          onChange(options.flatMap((one) => (keys.has(one.value) ? one.value : [])))
        }
      >
        {options.map((one) => (
          <One key={one.value} id={one.value}>
            {one.label}
          </One>
        ))}
      </Group>
    </div>
  );
}
