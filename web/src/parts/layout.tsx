import styled, { css } from 'styled-components';
import { color, narrow, size } from '../look/tokens';

/** Children below each other. */
export const Stack = styled.div<{ $gap?: number }>`
  display: flex;
  flex-direction: column;
  gap: ${({ $gap = 16 }) => $gap}px;
  min-width: 0;
`;

/** Children beside each other, wrapping. */
export const Row = styled.div<{ $gap?: number; $align?: string }>`
  display: flex;
  flex-wrap: wrap;
  gap: ${({ $gap = 12 }) => $gap}px;
  align-items: ${({ $align = 'center' }) => $align};
  min-width: 0;
`;

/** A flat sheet with a thin line. */
export const Sheet = styled.section<{ $pad?: number }>`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  padding: ${({ $pad = 16 }) => $pad}px;
  min-width: 0;
`;

/** Rows with a thin line under each. */
/** A table on a narrow page: every row a block of its own, its cells one under the other, each wrapping. */
export const stackedTable = css`
  ${narrow} {
    &,
    & tbody,
    & tr,
    & td,
    & tbody th {
      display: block;
      height: auto;
      width: auto;
      white-space: normal;
      overflow-wrap: anywhere;
    }
    & thead {
      position: absolute;
      clip-path: inset(50%);
    }
    & td,
    & tbody th {
      border: 0;
      padding: 2px 0;
    }
    & tr {
      border-bottom: 1px solid ${color('line')};
      padding: 6px 0;
    }
  }
`;

export const RuledTable = styled.table`
  border-collapse: collapse;
  & th,
  & td {
    text-align: left;
    padding: 4px 14px 4px 0;
    border-bottom: 1px solid ${color('line')};
  }
  ${stackedTable}
`;

/** A line of a list of people or cases: its first link leads to what it is about. */
export const ListLine = styled.li<{ $columns: string }>`
  display: grid;
  grid-template-columns: ${({ $columns }) => $columns};
  gap: 4px 16px;
  align-items: center;
  min-height: 56px;
  border-bottom: 1px solid ${color('line')};
  overflow-wrap: anywhere;
  & > a {
    font-weight: 700;
    min-height: 44px;
    display: flex;
    align-items: center;
  }
  &:last-child {
    border-bottom: 0;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 4px 0;
  }
`;

export const Soft = styled.p`
  color: ${color('soft')};
  overflow-wrap: anywhere;
`;

export const Small = styled.span`
  font-size: ${size.small};
  color: ${color('soft')};
`;

export const Rule = styled.hr`
  border: 0;
  border-top: 1px solid ${color('line')};
  margin: 0;
  width: 100%;
`;

/** A number that is read from a step away. */
export const Big = styled.span`
  font-size: ${size.figure};
  line-height: 1.1;
  font-weight: 700;
`;

/** Content of a page that is no case. */
export const Page = styled.main`
  max-width: 1280px;
  margin: 0 auto;
  padding: 24px 28px 40px;
  display: flex;
  flex-direction: column;
  gap: 20px;
  ${narrow} {
    padding: 14px 12px 24px;
  }
`;
