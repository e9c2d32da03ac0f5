import { useSteady } from '../parts/use-steady';
import {
  kinds,
  intentInForce,
  stillNeeded,
  type AnyEntry,
  type BodyOf,
  type CaseState,
  type KindName,
} from '@estribo/core/logbook';
import type { CaseFinding } from '@estribo/core/findings';
import type { EntryStage } from '@estribo/core/record';
import { may, type Permission } from '@estribo/core/access';
import type { Stage } from '@estribo/core/record';
import { createContext, useContext, useEffect, useEffectEvent } from 'react';
import { outbox } from '../api/clinic';
import { newEntry } from '../api/new-entry';
import type { SignedIn } from '@estribo/core/answers';
import type { LengthUnit } from '@estribo/core/quantity';
import type { FigureLayer, FigurePointing, PointedAt, SpotAt } from '../figure/layer';

export interface WriteOptions {
  replaces?: string;
  reason?: string;
  /** of an intent: the one that was in force when it was begun, where that is not the one in force now */
  follows?: string | null;
}

/** What every stage works with. */
export interface CaseWork {
  state: CaseState;
  /** what is missing, holds no longer or is dangerous today, the most urgent first */
  findings: readonly CaseFinding[];
  user: SignedIn;
  today: string;
  zone: string;
  unit: LengthUnit;
  /** in mm: read, or estimated from the age */
  stature: number;
  /** the person's day of birth, once it is known here */
  born: string | undefined;
  write: <K extends KindName>(
    kind: K,
    stage: EntryStage,
    body: BodyOf<K>,
    options?: WriteOptions,
  ) => Promise<string>;
}

/** What is touched, on the figure or in the work: it changes with every glance, and the work is not drawn anew for it. */
export interface Selection {
  /** the thing, by its id */
  selected: string | undefined;
  select: (id: string | undefined) => void;
}

/*
 * Apart from each other, so that only what shows a thing is drawn when it changes: the work, what is touched, what the figure
 * shows, which entries still wait to be sent.
 */
export const CaseContext = createContext<CaseWork | undefined>(undefined);
export const SelectionContext = createContext<Selection | undefined>(undefined);
export const FigureContext = createContext<((layer: FigureLayer) => void) | undefined>(undefined);
export const WaitingContext = createContext<ReadonlySet<string>>(new Set());

function within<T>(value: T | undefined): T {
  if (value === undefined) throw new Error('no case is open here');
  return value;
}

export const useWork = (): CaseWork => within(useContext(CaseContext));
export const useSelection = (): Selection => within(useContext(SelectionContext));

/**
 * What may be done in a stage now: what the role may, not while a finding stops the fitting or the case is closed, and not
 * before what the stage waits for is there. Looking is free.
 */
export function useMay(stage: Stage): (permission: Permission) => boolean {
  const { state, user } = useWork();
  const isOpen =
    !state.keeping.closed &&
    state.stages[stage].status !== 'blocked' &&
    stillNeeded(state, stage).length === 0;
  return (permission) => isOpen && may(user.role, permission);
}

/** What a stage lays over the figure while it is shown. */
export function useFigureLayer(layer: FigureLayer): void {
  const showOnFigure = within(useContext(FigureContext));
  const steady = useSteady(layer);
  useEffect(() => {
    showOnFigure(steady);
  }, [showOnFigure, steady]);
}

/** What the next touch of the figure is for, as the stage that shows the figure keeps it. */
export const PointingContext = createContext<((pointing: FigurePointing | undefined) => void) | undefined>(
  undefined,
);

/** Whether the stage that is shown lets the figure be touched for something. */
export const useCanPoint = (): boolean => useContext(PointingContext) !== undefined;

/** Asks for a touch of the figure while it is wanted; its answer may be another each time it is drawn. */
export function useFigurePointing(pointing: FigurePointing | undefined): void {
  const ask = useContext(PointingContext);
  const takeLine = useEffectEvent(
    (points: PointedAt[]) => pointing?.kind === 'line' && pointing.onLine(points),
  );
  const takeSpot = useEffectEvent((spot: SpotAt) => pointing?.kind === 'spot' && pointing.onSpot(spot));
  const [kind, view, label] = [
    pointing?.kind,
    pointing && 'view' in pointing ? pointing.view : undefined,
    pointing?.label,
  ];
  useEffect(() => {
    if (!ask || kind === undefined || label === undefined) return;
    ask(
      kind === 'line'
        ? {
            kind,
            label,
            view: view!,
            onLine: (points) => takeLine(points),
          }
        : { kind, label, onSpot: (spot) => takeSpot(spot) },
    );
    return () => ask(undefined);
  }, [ask, kind, view, label]);
}

/**
 * Writes an entry into the outbox: complete, with an id made here, and for an intent the one it follows.
 * @returns the entry's id, once it would survive a reload
 */
export async function writeEntry<K extends KindName>(
  { state, user, zone }: { state: CaseState; user: SignedIn; zone: string },
  kind: K,
  stage: EntryStage,
  body: BodyOf<K>,
  { replaces, reason, follows }: WriteOptions = {},
): Promise<string> {
  const entry = newEntry(kind, { case: state.case, stage, zone, by: user.id }, body, {
    ...(replaces === undefined ? {} : { replaces, reason: reason ?? '' }),
    ...(kinds[kind].nature === 'intent'
      ? { expects: follows === undefined ? intentInForce(state, kind, body) : follows }
      : {}),
  });
  await outbox.postEntry(entry as AnyEntry, user);
  return entry.id;
}

/** The girths of the last visit before today at which a step was read; none where it never was. */
export const visitBefore = (
  state: CaseState,
  step: string,
  today: string,
): Readonly<Record<string, number>> =>
  state.reviewing.visits.findLast(({ day, girths }) => day < today && girths[step] !== undefined)?.girths ??
  {};
