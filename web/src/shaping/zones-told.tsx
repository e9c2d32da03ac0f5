import { partsOnZones } from '@estribo/core/shaping';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { partName } from '../messages/fitting';
import { Fold } from '../parts/fold';
import { formatReading } from '../parts/format';
import { Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useZones } from './on-body';

/** Every part that comes to lie on a scar, a wound or a prominence, with what would free it. */
export function ZonesTold() {
  const { state, unit } = useWork();
  const { programme, shaping, parts } = state;
  const { body, zones } = useZones();
  // a pad that was split around it, or left out, lies clear
  const clear = shaping.pads.flatMap(({ pad, done }) =>
    done === 'split' || done === 'left-out' ? [pad.id] : [],
  );
  const told = partsOnZones(
    parts.filter(({ id }) => !clear.includes(id)),
    zones,
    body.level,
  );
  if (told.length === 0) return null;
  const said = ({ part, zone, over, move, flare }: (typeof told)[number]): string =>
    [
      t('shaping.liesOn', {
        part: partName(programme, part.id),
        zone: named('zone', zone.what),
        over: formatReading(over, 'mm', unit),
      }),
      move === undefined
        ? t('shaping.flareBy', { flare: formatReading(flare, 'mm', unit) })
        : t(move > 0 ? 'shaping.moveUp' : 'shaping.moveDown', {
            move: formatReading(Math.abs(move), 'mm', unit),
          }),
    ].join(' ');
  // what was seen on this skin is told at once; where bone lies near, when it is asked
  const seen = told.filter(({ zone }) => zone.what === 'scar' || zone.what === 'wound');
  const bony = told.filter((one) => !seen.includes(one));
  return (
    <Stack $gap={6}>
      {seen.length > 0 && (
        <Notice tone={seen.some(({ zone }) => zone.what === 'wound') ? 'stop' : 'caution'}>
          {seen.map((one) => (
            <p key={`${one.part.id} ${one.zone.from}`}>{said(one)}</p>
          ))}
        </Notice>
      )}
      {bony.length > 0 && (
        <Fold title={t('shaping.overBone', { count: bony.length })}>
          <ul>
            {bony.map((one) => (
              <li key={`${one.part.id} ${one.zone.what} ${one.zone.face}`}>{said(one)}</li>
            ))}
          </ul>
        </Fold>
      )}
    </Stack>
  );
}
