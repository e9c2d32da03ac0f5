import { lazy, Suspense } from 'react';
import type { StandingVisit, VisitNotes } from './write-visit';

export interface VisitDialogProps {
  who: string;
  person: string;
  /** the one that stands; absent where one is planned */
  visit?: StandingVisit & VisitNotes;
  /** the day it was dragged to */
  to?: string;
  /** the brace it is planned for; absent: it is asked */
  caseId?: string;
  onClose: () => void;
}

const loadVisitForm = () => import('./visit-form');
const VisitForm = lazy(loadVisitForm);

/** Fetches the form while nobody waits for it: it is there when the server is away. */
export const fetchVisitForm = (): void => void loadVisitForm().catch(() => {});

/** A visit is planned, moved or called off; its form, with its calendar, is fetched apart from what it is opened from. */
export const VisitDialog = (props: VisitDialogProps) => (
  <Suspense fallback={null}>
    <VisitForm {...props} />
  </Suspense>
);
