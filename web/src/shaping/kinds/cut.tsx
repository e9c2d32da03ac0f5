import { partNamed, type PartOf } from '@estribo/core/brace';
import { boundsOf } from '@estribo/core/logbook';
import type { Millimetres } from '@estribo/core/quantity';
import { lastLengths, otherOfPair, unevenPairs, type Lengthened } from '@estribo/core/shaping';
import { girthAtStrap, overlapHolds, strapLength, usualShear } from '@estribo/core/strapping';
import { useState } from 'react';
import { useDraft } from '../../api/draft';
import { useMay, useWork } from '../../case/case-context';
import { named, t } from '../../messages';
import { operationWords, partName } from '../../messages/fitting';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Choice } from '../../parts/choice';
import { Dialog } from '../../parts/dialog';
import { fixed, formatNumber, formatReading } from '../../parts/format';
import { Big, Row, Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { ReadingField, readQuantity } from '../../parts/reading-field';
import { useSaving } from '../../parts/use-saving';
import { Why } from '../../parts/why';
import { useBracedBody } from '../on-body';
import type { OperationScreen, WorkOf, WorkStage } from './piece';

/**
 * Straps brought to length: how long each has to be, folded and closed once, then cut, both sides the same. What is cut cannot
 * be put back: the number is asked twice, and not before what it waits for is so.
 */
function Lengths({ work: { operation, parts, mayBegin, done }, stage }: { work: WorkOf; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const words = operationWords(state.programme, operation.id);
  const [chosen, choose] = useDraft(`${state.case}-cut-${operation.id}`, parts[0]!.id);
  const strap = partNamed(parts, chosen);
  const lengths = lastLengths(done);
  const uneven = unevenPairs(operation, lengths);
  return (
    <Stack $gap={10}>
      <h2>{words.name}</h2>
      <Soft>{words.how}</Soft>
      {words.caution && <Notice tone="caution">{words.caution}</Notice>}
      <ul aria-label={t('strapping.trimList')}>
        {parts.map(({ id }) => {
          const last = lengths[id];
          return (
            <li key={id}>
              <b>{partName(state.programme, id)}</b>{' '}
              {last
                ? t(`strapping.isAt.${last.way}`, { length: formatReading(last.amount, 'mm', unit) })
                : t('strapping.asSupplied')}
            </li>
          );
        })}
      </ul>
      {uneven.map(([one, other]) => (
        <Notice key={one} tone="stop">
          {t('strapping.pairUneven', {
            one: partName(state.programme, one),
            other: partName(state.programme, other),
          })}
        </Notice>
      ))}
      {mayShape && parts.length > 1 && (
        <Choice
          label={t('shaping.part')}
          options={parts.map(({ id }) => ({ value: id, label: partName(state.programme, id) }))}
          value={chosen}
          onChange={choose}
        />
      )}
      {mayBegin !== true && (
        <Notice tone="caution">
          {words.first ? t('strapping.cutWaits', { first: words.first }) : t('shaping.notYet')}
        </Notice>
      )}
      {strap?.kind === 'strap' && (
        <Length
          key={strap.id}
          strap={strap}
          last={lengths[strap.id]}
          other={lengths[otherOfPair(operation, strap.id) ?? '']?.amount}
          mayCut={mayBegin === true}
          mayShape={mayShape}
          onDone={(amount, way) =>
            write('work.done', stage, { operation: operation.id, part: strap.id, amount, way })
          }
        />
      )}
    </Stack>
  );
}

function Length({
  strap,
  last,
  other,
  mayCut,
  mayShape,
  onDone,
}: {
  strap: PartOf<'strap'>;
  last: Lengthened | undefined;
  /** what the other of its pair was brought to */
  other: Millimetres | undefined;
  mayCut: boolean;
  mayShape: boolean;
  onDone: (amount: Millimetres, way: 'folded' | 'cut') => Promise<unknown>;
}) {
  const { state, unit } = useWork();
  const { body } = useBracedBody();
  const key = `${state.case}-length-${strap.id}`;
  const [draft, setDraft] = useDraft(key, { girth: '', largest: '', length: '' });
  const [problem, setProblem] = useState<string>();
  const [asked, ask] = useState<Millimetres>();
  const [saving, save] = useSaving();
  const read = (text: string): Millimetres | undefined => {
    const value = text.trim() === '' ? undefined : readQuantity(text, 'length', unit);
    return value && 'value' in value && value.value > 0 ? value.value : undefined;
  };
  const drawn = girthAtStrap(body, strap);
  const girth = read(draft.girth) ?? drawn;
  const { ends } = strap;
  const needed = ends && girth ? strapLength(ends, girth, read(draft.largest)) : undefined;
  const tension = state.strapping.tensions[strap.id];
  const closure = needed && tension ? overlapHolds(ends!.overlap, strap.width, tension) : undefined;
  const proposed = other ?? needed?.cut;
  const amountNow = read(draft.length) ?? proposed;
  const shown = (mm: number) => formatReading(mm, 'mm', unit);
  const checked = (): Millimetres | undefined => {
    if (amountNow === undefined) {
      setProblem(t('common.typeNumber'));
      return undefined;
    }
    const outside = boundsProblem(t('strapping.length'), amountNow, boundsOf('work.done', 'amount'), shown);
    if (outside) setProblem(outside);
    return outside ? undefined : amountNow;
  };
  const isFolded = last !== undefined;
  return (
    <Stack $gap={8}>
      {ends && (
        <Row $align="flex-end">
          {(
            [
              ['girth', drawn],
              ['largest', girth],
            ] as const
          ).map(([name, otherwise]) => (
            <ReadingField
              key={name}
              small
              label={t(`strapping.lengthOf.${name}`)}
              kind="length"
              unit={unit}
              sign={unit}
              value={draft[name]}
              {...(otherwise ? { placeholder: formatNumber(otherwise, 'mm', unit) } : {})}
              onChange={(text) => setDraft({ ...draft, [name]: text })}
            />
          ))}
        </Row>
      )}
      {needed && (
        <Stack $gap={2}>
          <p>
            <b>{t('strapping.needed', { length: shown(needed.cut) })}</b>{' '}
            {t(`strapping.finish.${ends!.finish}`)} {t(`strapping.shortened.${ends!.shortened}`)}
          </p>
          {ends!.pad && <Soft>{t('strapping.padApart')}</Soft>}
          <Soft>{t('strapping.hookMoved')}</Soft>
          {closure && (
            <Notice tone={closure.holds ? 'plain' : 'stop'}>
              {t(closure.holds ? 'strapping.overlapHolds' : 'strapping.overlapFails', {
                overlap: shown(ends!.overlap),
                strength: fixed(closure.strength, 0),
                tension: fixed(tension!, 0),
                least: shown(Math.ceil(closure.least)),
              })}
            </Notice>
          )}
          <Why
            rows={[
              [
                t('strapping.lengthFrom'),
                t('strapping.lengthFromText', {
                  girth: shown(girth!),
                  wraps: ends!.wraps,
                  overlap: shown(ends!.overlap),
                  drawn: read(draft.girth) ? t('strapping.girthTaped') : t('strapping.girthDrawn'),
                }),
              ],
              [t('common.source'), t('strapping.lengthSource', { shear: usualShear })],
            ]}
          />
        </Stack>
      )}
      {other !== undefined && <Soft>{t('strapping.likeTheOther', { length: shown(other) })}</Soft>}
      {mayShape && (
        <Row $align="flex-end">
          <ReadingField
            small
            label={t('strapping.length')}
            kind="length"
            unit={unit}
            sign={unit}
            value={draft.length}
            {...(proposed ? { placeholder: formatNumber(proposed, 'mm', unit) } : {})}
            onChange={(text) => {
              setDraft({ ...draft, length: text });
              setProblem(undefined);
            }}
            problem={problem}
          />
          <Button
            isDisabled={saving}
            onPress={() => {
              const amount = checked();
              if (amount !== undefined) void save(() => onDone(amount, 'folded'));
            }}
          >
            {t('strapping.foldedClosed')}
          </Button>
          {isFolded && mayCut && (
            <Button
              look="stop"
              isDisabled={saving}
              onPress={() => {
                const amount = checked();
                if (amount !== undefined) ask(amount);
              }}
            >
              {named('workWay', 'cut')}
            </Button>
          )}
        </Row>
      )}
      {mayShape && !isFolded && <Soft>{t('strapping.foldFirst')}</Soft>}
      {asked !== undefined && (
        <Dialog
          title={t('strapping.cutTitle', { part: partName(state.programme, strap.id), length: shown(asked) })}
          onClose={() => ask(undefined)}
        >
          <Stack $gap={12}>
            <Big>{shown(asked)}</Big>
            <p>{t('strapping.cutAsk')}</p>
            <Row>
              <Button
                look="stop"
                isDisabled={saving}
                onPress={() => void save(() => onDone(asked, 'cut').then(() => ask(undefined)))}
              >
                {t('strapping.cutYes', { length: shown(asked) })}
              </Button>
              <Button autoFocus onPress={() => ask(undefined)}>
                {t('common.cancel')}
              </Button>
            </Row>
          </Stack>
        </Dialog>
      )}
    </Stack>
  );
}

export const cut: OperationScreen = { Piece: Lengths };
