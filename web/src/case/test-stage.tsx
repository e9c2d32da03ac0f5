import { decideSize } from '@estribo/core/sizing';
import type { Role } from '@estribo/core/access';
import { findingsOf } from '@estribo/core/findings';
import { foldCase, type BodyOf, type KindName } from '@estribo/core/logbook';
import type { EntryStage } from '@estribo/core/record';
import type { Finding } from '@estribo/core/screening';
import { act, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Suspense, useState, type ComponentType } from 'react';
import { I18nProvider } from 'react-aria-components';
import type { ClinicWearRule } from '@estribo/core/wearing';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter } from 'react-router';
import { carryOn } from '../../../core/src/findings/test-whole-case';
import { shapedContext, testContext, testLogbook, userId } from '../../../core/src/logbook/test-case';
import type { FigureLayer } from '../figure/layer';
import { bareLimb } from '../figure/layer';
import { locale } from '../messages';
import { TypedHere } from './typed-here';
import { CaseContext, FigureContext, SelectionContext, type CaseWork } from './case-context';

export interface Written {
  kind: KindName;
  stage: EntryStage;
  body: Record<string, unknown>;
  replaces?: string;
}

export const testToday = '2026-11-24';

/** A logbook with a clear look and an order of two phases, the second in force on the test's day. */
export function orderedLogbook(order: Partial<BodyOf<'order.given'>> = {}) {
  const log = testLogbook();
  log.looked();
  log.write('circulation.noted', { left: { pulse: 'felt' }, right: { pulse: 'felt' } });
  log.order(order);
  return log;
}

/** Both legs measured: 445 above and 348 below, size M. */
export function measuredLogbook(order: Partial<BodyOf<'order.given'>> = {}) {
  return bothLegs(orderedLogbook(order));
}

function bothLegs(log: ReturnType<typeof testLogbook>) {
  for (const side of ['right', 'left'] as const) {
    log.read('knee-posture', side, 31);
    log.write('measure.marked', { step: 'mid-kneecap', side });
    log.read('girth-above', side, 444, 446);
    log.read('girth-below', side, 347, 349);
  }
  return log;
}

/** The same with the size chosen: shaping, strapping and checking may begin. */
export function sizedLogbook(order: Partial<BodyOf<'order.given'>> = {}) {
  const log = measuredLogbook(order);
  log.write('size.chosen', decideSize(foldCase(log.entries, testContext)!)!);
  return log;
}

/** A case of that frame, fitted, checked and signed on the test's day. */
export function signedLogbook(order: Partial<BodyOf<'order.given'>> = {}) {
  const log = sizedLogbook(order);
  carryOn(log, () => foldCase(log.entries, testContext)!);
  return log;
}

/** Shaping may begin on a frame whose bars are planned and whose cuff is formed by heat. */
export function shapedLogbook(...found: Finding[]) {
  const log = testLogbook(shapedContext);
  log.looked(...found);
  log.order();
  bothLegs(log);
  log.write('size.chosen', decideSize(foldCase(log.entries, shapedContext)!)!);
  return log;
}

/**
 * Shows a stage over a logbook, with what is written going into the logbook: the real fold, no server.
 */
export async function showStage(
  Stage: ComponentType,
  log: ReturnType<typeof testLogbook>,
  {
    role = 'orthotist' as Role,
    unit = 'mm' as CaseWork['unit'],
    context = testContext,
    born = undefined as string | undefined,
    /** what an earlier showing left typed is still there, as after a reload */
    keepsDrafts = false,
    /** the clinic's own rule for wearing that grows */
    wearRule = null as ClinicWearRule | null,
    /** the clinic's day */
    today = testToday,
  } = {},
) {
  const written: Written[] = [];
  let figure: FigureLayer = bareLimb;
  const showOnFigure = (layer: FigureLayer) => {
    figure = layer;
  };
  function Host() {
    const [, again] = useState(0);
    const [selected, select] = useState<string>();
    const state = foldCase(log.entries, context)!;
    const work: CaseWork = {
      state,
      findings: findingsOf(state, today, born),
      stature: 1700,
      born,
      user: { id: userId, name: 'Ana Bouza', role },
      today,
      zone: 'Europe/Madrid',
      unit,
      write: async (kind, stage, body, { follows: _follows, ...options } = {}) => {
        written.push({ kind, stage, body: body as Record<string, unknown>, ...options });
        const id = log.write(kind, body, {
          stage,
          observedAt: `${today}T10:00:00.000Z`,
          ...options,
        } as never);
        again((count) => count + 1);
        return Promise.resolve(id);
      },
    };
    return (
      <CaseContext value={work}>
        <SelectionContext value={{ selected, select }}>
          <FigureContext value={showOnFigure}>
            <TypedHere>
              <Suspense>
                <Stage />
              </Suspense>
            </TypedHere>
          </FigureContext>
        </SelectionContext>
      </CaseContext>
    );
  }
  // what an earlier test left typed; how instruments and units are set stays
  for (const name of Object.keys(localStorage))
    if (!keepsDrafts && name.startsWith('estribo-draft')) localStorage.removeItem(name);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['session'], {
    user: { id: userId, name: 'Ana Bouza', role },
    clinic: { name: 'Test', zone: 'Europe/Madrid', wearRule },
  });
  const user = userEvent.setup();
  const { unmount } = render(
    <QueryClientProvider client={client}>
      <I18nProvider locale={locale}>
        <MemoryRouter>
          <Host />
        </MemoryRouter>
      </I18nProvider>
    </QueryClientProvider>,
  );
  await act(async () => {});
  return {
    leave: unmount,
    written,
    user,
    figure: () => figure,
    state: () => foldCase(log.entries, context)!,
  };
}
