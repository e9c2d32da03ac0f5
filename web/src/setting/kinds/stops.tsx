import { placesAlong, stopsAt, type Setting } from '@estribo/core/setting';
import { degrees, formatStops } from '../../parts/format';
import { StopsOfHinges } from '../stops-of-hinges';
import { StopsWork } from '../stops-work';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'stops' }>;

export const stops: SettingScreen<Of> = {
  print: (_, value) => degrees(value),
  // a pair that differs is said as two
  formatMade: ({ axes }, made) =>
    [...new Set(placesAlong(axes).map((hinge) => formatStops(stopsAt(made, hinge))))].join(' · '),
  Piece: ({ setting, stage }) => <StopsWork setting={setting} stage={stage} />,
  Whole: StopsOfHinges,
};
