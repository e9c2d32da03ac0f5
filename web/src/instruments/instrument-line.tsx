import { may } from '@estribo/core/access';
import type { Instrument, ReadingUnit } from '@estribo/core/measuring';
import { Cable, Radio } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useInstrumentsOn } from '../browser/preferences';
import { color, size } from '../look/tokens';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { formatDay, formatFine, formatReading, unitSign } from '../parts/format';
import { Calibration } from './calibration';
import type { ConnectedInstrument } from './use-instrument';

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  font-size: ${size.small};
  color: ${color('soft')};
  & b {
    color: ${color('river')};
    font-variant-numeric: tabular-nums;
  }
  & em {
    font-style: normal;
    color: ${color('ochre')};
    font-weight: 700;
  }
`;

/** The instrument that a thing is read with: what it says now, how it is calibrated, and what takes its value. */
export function InstrumentLine({
  kind,
  instrument: { state, line, held, claim },
  unit,
  bySpace = false,
  onTake,
}: {
  kind: Instrument;
  instrument: ConnectedInstrument;
  unit: ReadingUnit;
  /** the space bar takes it as well */
  bySpace?: boolean;
  onTake: () => void;
}) {
  const [on, turn] = useInstrumentsOn();
  const [calibrating, calibrate] = useState(false);
  const { unit: length, today, user } = useWork();
  if (kind === 'told') return null;
  if (!on)
    return (
      <Line>
        <Button look="quiet" onPress={() => turn(true)}>
          <Cable size={16} aria-hidden />
          {t('instruments.connect')}
        </Button>
      </Line>
    );
  const name = line
    ? `${line.name}${line.simulated ? ` (${t('instruments.simulated')})` : ''}`
    : named('instruments', kind);
  return (
    <Line data-instrument={state}>
      <Radio size={16} aria-hidden />
      {state === 'reading' && line ? (
        <>
          <span>
            {name}: <b>{formatReading(line.value, unit, length)}</b>
          </span>
          <Button onPress={onTake} {...(bySpace ? { keycap: '␣' } : {})}>
            {t(bySpace ? 'instruments.space' : 'measuring.take')}
          </Button>
          <span>
            {t('instruments.calibrated', {
              day: formatDay(line.calibrated),
              offset: formatFine(line.offset, unit, length),
            })}
          </span>
          {line.validUntil < today && (
            <em>{t('instruments.overdue', { day: formatDay(line.validUntil) })}</em>
          )}
        </>
      ) : state === 'held' && held ? (
        <>
          <em>{t('instruments.held', { name: held.name, by: held.by })}</em>
          <Button onPress={() => claim(held)}>{t('instruments.claim', { name: held.name })}</Button>
        </>
      ) : (
        <span>{t(state === 'lost' ? 'instruments.lost' : 'instruments.waits', { name })}</span>
      )}
      {line && may(user.role, 'instruments.write') && (
        <Button look="quiet" onPress={() => calibrate(true)}>
          {t('instruments.calibrate')}
        </Button>
      )}
      <Button look="quiet" onPress={() => turn(false)}>
        {t('instruments.disconnect')}
      </Button>
      {calibrating && line && (
        <Calibration line={line} sign={unitSign(unit, 'mm')} onClose={() => calibrate(false)} />
      )}
    </Line>
  );
}
