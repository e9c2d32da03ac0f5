import { CircleAlert, CircleCheck, Info, OctagonX } from 'lucide-react';
import styled from 'styled-components';
import { color } from '../look/tokens';

export type Tone = 'caution' | 'stop' | 'good' | 'plain';

const ink = { caution: 'ochre', stop: 'madder', good: 'moss', plain: 'river' } as const;
const wash = { caution: 'ochreWash', stop: 'madderWash', good: 'mossWash', plain: 'riverWash' } as const;
const icons = { caution: CircleAlert, stop: OctagonX, good: CircleCheck, plain: Info };

const Box = styled.div<{ $tone: Tone }>`
  display: flex;
  gap: 12px;
  padding: 10px 14px;
  border-left: 4px solid ${({ $tone }) => color(ink[$tone])};
  border-radius: 4px;
  background: ${({ $tone }) => color(wash[$tone])};
  color: ${color('ink')};
  min-width: 0;
  overflow-wrap: anywhere;
  & > svg {
    flex: none;
    margin-top: 1px;
    color: ${({ $tone }) => color(ink[$tone])};
  }
  & > div {
    min-width: 0;
    flex: 1;
  }
`;

/** Something to know at the spot where it matters; the tone is told by form as well as colour. */
export function Notice({
  tone,
  children,
  live = false,
}: {
  tone: Tone;
  children: React.ReactNode;
  live?: boolean;
}) {
  const Icon = icons[tone];
  return (
    <Box $tone={tone} role={live ? (tone === 'stop' ? 'alert' : 'status') : undefined}>
      <Icon size={20} aria-hidden />
      <div>{children}</div>
    </Box>
  );
}
