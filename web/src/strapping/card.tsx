import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';

/** The step in hand, to be read at arm's length. */
export const Card = styled.section`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  padding: 20px 24px;
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 8px 24px;
  align-items: center;
`;

export const Large = styled.p`
  font-size: ${size.title};
  line-height: 1.3;
  font-weight: 700;
`;

export const Lead = styled.p`
  font-size: ${size.lead};
  line-height: 1.4;
`;

/** To be read from two metres: capitals of about seven millimetres. */
export const Far = styled.p`
  font-size: ${size.figure};
  line-height: 1.3;
  font-weight: 700;
  overflow-wrap: anywhere;
  ${narrow} {
    font-size: ${size.title};
  }
`;
