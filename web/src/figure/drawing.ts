import styled from 'styled-components';
import { color } from '../look/tokens';

/**
 * The sheet a body part is drawn on: outlines, inner lines, hidden lines and dimension lines of four weights, one size
 * of letters at every size of the window.
 */
export const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
  & text {
    font-size: 15px;
    fill: ${color('soft')};
  }
  & .skin {
    fill: ${color('skin')};
    transition: d 260ms ease-out;
  }
  & .outline {
    fill: none;
    stroke: ${color('skinLine')};
    stroke-width: 1.9;
    stroke-linejoin: round;
    stroke-linecap: round;
    transition: d 260ms ease-out;
  }
  & .inner,
  & .cut {
    fill: none;
    stroke: ${color('skinForm')};
    stroke-width: 1.1;
    stroke-linecap: round;
  }
  & .cut {
    stroke: ${color('skinLine')};
  }
  & .hidden {
    fill: none;
    stroke: ${color('skinLine')};
    stroke-width: 0.9;
    stroke-dasharray: 5 3;
  }
  & .dimension {
    fill: none;
    stroke-width: 1.4;
    stroke-linejoin: round;
  }
  & .strong .dimension {
    stroke-width: 2.2;
  }
  & .extension {
    fill: none;
    stroke-width: 1;
    stroke-dasharray: 1.5 4;
  }
  & .other {
    fill: none;
    stroke: ${color('river')};
    stroke-width: 1.4;
    stroke-dasharray: 5 4;
  }
  & .last {
    fill: none;
    stroke: ${color('ochre')};
    stroke-width: 1.4;
    stroke-dasharray: 2 3;
  }
  & .held {
    fill: none;
    stroke: ${color('madder')};
    stroke-width: 1.6;
  }
  & [data-touch] {
    cursor: pointer;
  }
  @media (prefers-reduced-motion: reduce) {
    & .skin,
    & .outline {
      transition: none;
    }
  }
  @media print {
    height: 88mm;
    & .skin {
      fill: #fff;
      print-color-adjust: exact;
    }
  }
`;

/** Which outline is laid over the one drawn. */
export type Overlay = 'other' | 'last';

/** Points as the path of a line. */
export const pathOf = (points: readonly (readonly [number, number])[], closed = false): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') +
  (closed ? 'Z' : '');
