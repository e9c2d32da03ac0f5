import type { Operation, OperationKind } from '@estribo/core/shaping';
import { bend } from './bend';
import { cut } from './cut';
import { mould } from './mould';
import { pad } from './pad';
import type { OperationScreen } from './piece';
import { PlainWork } from './plain';

const plain: OperationScreen = { Piece: PlainWork };

/** Every kind of operation on the screen; a missing one is a fault of types. */
const screens: { [K in OperationKind]: OperationScreen } = {
  bend,
  mould,
  flare: plain,
  trim: plain,
  cut,
  pad,
  exchange: plain,
};

export const screenOf = ({ kind }: Operation): OperationScreen => screens[kind];
