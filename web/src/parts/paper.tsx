import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';
import { stackedTable } from './layout';

/** A sheet that leaves the clinic on paper; what is marked `data-screen` stays on the screen. */
export const Paper = styled.main`
  max-width: 900px;
  margin: 0 auto;
  padding: 24px 28px 40px;
  & table {
    border-collapse: collapse;
    width: 100%;
    ${stackedTable}
  }
  ${narrow} {
    padding: 12px;
  }
  & th,
  & td {
    text-align: left;
    padding: 6px 12px 6px 0;
    border-bottom: 1px solid ${color('line')};
    vertical-align: top;
  }
  & thead th {
    font-size: ${size.small};
    color: ${color('soft')};
    font-weight: 400;
  }
  @media print {
    max-width: none;
    padding: 0;
    & [data-screen] {
      display: none;
    }
  }
`;
