import type { ReadingUnit } from '@estribo/core/measuring';
import { mayBeThousands, parseLength, parseMass, plainTyped, type LengthUnit } from '@estribo/core/quantity';
import { useEffect, useEffectEvent, useRef } from 'react';
import { FieldError, Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { degrees, formatReading } from './format';
import { typedNumber } from './typed-number';

const Frame = styled(TextField)`
  display: flex;
  flex-direction: column;
  gap: 4px;
`;

const Name = styled(Label)<{ $hidden: boolean }>`
  font-size: ${size.small};
  color: ${color('soft')};
  ${({ $hidden }) => $hidden && 'position: absolute; clip-path: inset(50%);'}
`;

/** Which side is read, large: the one mistake that no number shows. */
const SideName = styled.b`
  font-size: ${size.title};
  line-height: 1.1;
  color: ${color('river')};
`;

const Echo = styled.span`
  font-size: ${size.small};
  color: ${color('soft')};
  min-height: 18px;
`;

/** px that a narrow field takes: four digits beside its sign, which may be the name of a place. */
const narrowWidth = (sign: string, wideNumber: boolean): number =>
  Math.max(116, Math.ceil(92 + 7.5 * sign.length)) + (wideNumber ? 40 : 0);

const Box = styled.div<{ $small: boolean; $narrow: number | undefined; $long: boolean }>`
  display: flex;
  align-items: baseline;
  gap: 6px;
  border: 2px solid ${color('river')};
  border-radius: 4px;
  background: ${color('sheet')};
  padding: ${({ $small }) => ($small ? '4px 12px' : '4px 20px')};
  width: ${({ $small, $narrow, $long }) => $narrow ?? ($small ? 140 : $long ? 264 : 212)}px;
  max-width: 100%;
  height: ${({ $small }) => ($small ? '48px' : '64px')};
  align-items: center;
  &:focus-within {
    outline: 3px solid ${color('river')};
    outline-offset: 2px;
  }
  & input {
    border: 0;
    background: none;
    width: 100%;
    min-width: 0;
    padding: 0;
    font-size: ${({ $small }) => ($small ? size.title : size.figure)};
    font-weight: 700;
    outline: none;
  }
  & span {
    color: ${color('soft')};
    white-space: nowrap;
  }
`;

const Problem = styled(FieldError)`
  color: ${color('madder')};
  font-weight: 700;
  font-size: ${size.small};
  max-width: 320px;
`;

/** `distance`: a length to either side of a place; a minus is the other side. */
export type Quantity = 'length' | 'distance' | 'degrees' | 'mass' | 'count' | 'text';

/** What is typed for a value that is kept in a unit. */
export const quantityOf: Record<ReadingUnit, Quantity> = {
  mm: 'length',
  degrees: 'degrees',
  kg: 'mass',
  years: 'count',
  newtons: 'count',
};

/** What is typed, as a number: mm for a length and kg for a weight whatever unit it was typed in. */
export function readQuantity(
  text: string,
  kind: Quantity,
  unit: LengthUnit,
): { value: number } | { problem: string } {
  if (kind === 'length') {
    const parsed = parseLength(text, unit);
    if (parsed.ok) return { value: parsed.millimetres };
    if (parsed.problem === 'thousands') return { problem: t('common.thousands') };
    return {
      problem: parsed.problem === 'empty' ? t('common.typeNumber') : t('common.notALength', { unit }),
    };
  }
  if (kind === 'distance') {
    const trimmed = plainTyped(text).trim();
    if (/^[+-]?0+([.,]0+)?$/.test(trimmed)) return { value: 0 };
    const read = readQuantity(trimmed.replace(/^[+-]/, ''), 'length', unit);
    return 'value' in read && trimmed.startsWith('-') ? { value: -read.value } : read;
  }
  if (kind === 'mass') {
    const parsed = parseMass(text);
    if (parsed.ok) return { value: parsed.kilograms };
    if (parsed.problem === 'thousands') return { problem: t('common.thousands') };
    return { problem: t(parsed.problem === 'empty' ? 'common.typeNumber' : 'common.notAWeight') };
  }
  const plain = plainTyped(text).trim().replace(/°$/, '');
  if (mayBeThousands(plain)) return { problem: t('common.thousands') };
  if (plain === '') return { problem: t('common.typeNumber') };
  const value = typedNumber(plain);
  return Number.isFinite(value) ? { value } : { problem: t('common.notANumber') };
}

/**
 * The field a reading is taken in: digits go here from anywhere on the screen, Enter takes.
 */
export function ReadingField({
  label,
  kind,
  unit,
  sign,
  value,
  onChange,
  onEnter,
  onSpace,
  problem,
  small = false,
  hideLabel = false,
  primary = false,
  placeholder,
  side,
  minusSaid,
}: {
  label: string;
  /** what a number under zero means, in words: a minus sign alone is overlooked */
  minusSaid?: ((amount: string) => string | undefined) | undefined;
  /** the side that is read, in words */
  side?: string | undefined;
  kind: Quantity;
  unit: LengthUnit;
  /** what stands behind the number */
  sign: string;
  value: string;
  onChange: (text: string) => void;
  onEnter?: () => void;
  /** Space in the field: takes the instrument's value */
  onSpace?: (() => void) | undefined;
  problem?: string | undefined;
  small?: boolean;
  hideLabel?: boolean;
  /** what holds while nothing is typed */
  placeholder?: string;
  /** digits typed anywhere land here, and it has the focus when the screen opens */
  primary?: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const takesInstrument = useEffectEvent(() => {
    onSpace?.();
    return onSpace !== undefined;
  });
  useEffect(() => {
    if (!primary) return;
    input.current?.focus({ preventScroll: true });
    const typed = (event: KeyboardEvent) => {
      const target = event.target as Element;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      // where nothing has the focus Space is the instrument's
      if (event.key === ' ' && target === document.body) {
        if (takesInstrument()) event.preventDefault();
        return;
      }
      if (!/^[0-9]$/.test(event.key)) return;
      if (target.matches('input, textarea, [role=spinbutton]') || target.closest('[role=dialog]')) return;
      input.current?.focus();
    };
    addEventListener('keydown', typed);
    return () => removeEventListener('keydown', typed);
  }, [primary]);
  const minus = minusSaid && saidMinus(value, kind, unit, minusSaid);
  return (
    <Frame value={value} onChange={onChange} isInvalid={problem !== undefined}>
      <Name $hidden={hideLabel}>{label}</Name>
      {side !== undefined && <SideName aria-hidden>{side}</SideName>}
      <Box
        $small={small}
        $narrow={hideLabel ? narrowWidth(sign, kind === 'distance' && unit === 'in') : undefined}
        $long={kind === 'text'}
      >
        <Input
          ref={input}
          data-reading={kind}
          data-unit={unit}
          inputMode={kind === 'text' ? 'text' : 'decimal'}
          autoComplete="off"
          {...(placeholder === undefined ? {} : { placeholder })}
          onKeyDown={(event) => {
            // a space belongs to what is typed: "14 3/8 in"
            const act =
              event.key === 'Enter'
                ? onEnter
                : event.key === ' ' && value.trim() === ''
                  ? onSpace
                  : undefined;
            if (!act) return;
            event.preventDefault();
            act();
          }}
        />
        <span aria-hidden>{sign}</span>
      </Box>
      {primary && kind === 'length' && <Echo aria-hidden>{echoOf(value, unit)}</Echo>}
      {minus !== undefined && <Echo role="status">{`= ${minus}`}</Echo>}
      <Problem>{problem}</Problem>
    </Frame>
  );
}

/** A length as it is typed, in the other unit: a slip is seen before it is taken. */
function echoOf(text: string, unit: LengthUnit): string {
  const read = text.trim() === '' ? { problem: '' } : readQuantity(text, 'length', unit);
  if ('problem' in read) return '';
  // what names its unit is said in one's own
  const named = /[a-z'"′″]/i.test(text);
  return `= ${formatReading(read.value, 'mm', named ? unit : unit === 'in' ? 'mm' : 'in')}`;
}

/** A number under zero as it is typed, in words. */
function saidMinus(
  text: string,
  kind: Quantity,
  unit: LengthUnit,
  said: (amount: string) => string | undefined,
): string | undefined {
  const read = readQuantity(text, kind, unit);
  if ('problem' in read || read.value >= 0) return undefined;
  return said(kind === 'degrees' ? degrees(-read.value) : formatReading(-read.value, 'mm', unit));
}
