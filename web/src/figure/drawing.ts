import type { BodyView, Point } from '@estribo/core/anatomy';
import styled from 'styled-components';
import { color } from '../app/tokens';

/** The sheet a body part is drawn on. */
export const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
    @media (orientation: portrait) {
      font-size: 18px;
    }
  }
  & .onLines {
    paint-order: stroke;
    stroke: ${color('ground')};
    stroke-width: 6px;
    stroke-linejoin: round;
  }
  & .skin {
    fill: ${color('skin')};
    stroke: ${color('skinLine')};
    stroke-width: 1.5;
    stroke-linejoin: round;
    transition: d 260ms ease-out;
  }
  & .form {
    fill: none;
    stroke: ${color('skinForm')};
    stroke-width: 1.2;
    stroke-linecap: round;
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
  & [data-touch] {
    cursor: pointer;
  }
`;

/** Which outline is laid over the one drawn. */
export type Overlay = 'other' | 'last';

/** A view with its place in the drawing. */
export interface PlacedView {
  view: BodyView;
  project: (point: Point) => readonly [number, number];
}
