import type { CaseState } from '@estribo/core/logbook';
import type { ComponentType } from 'react';

/** An operation that this brace allows, with what was done of it. */
export type WorkOf = CaseState['shaping']['work'][number];

/** Where work is done: at the bench, while it goes on, at a review. */
export type WorkStage = 'shape' | 'strap' | 'review';

/** What the screen does with a kind of operation. */
export interface OperationScreen {
  Piece: ComponentType<{ work: WorkOf; stage: WorkStage }>;
}
