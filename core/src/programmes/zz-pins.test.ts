import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { programmes } from './all';
import { pinOf } from './pin';
test('pins', () => {
  const p = join(__dirname, 'pins.json');
  const pins = JSON.parse(readFileSync(p, 'utf8')) as ReturnType<typeof pinOf>[];
  for (const programme of programmes) {
    const pin = pinOf(programme);
    const i = pins.findIndex(({ id, version }) => id === pin.id && version === pin.version);
    if (i < 0) pins.push(pin);
    else if (pins[i]!.hash !== pin.hash)
      (console.log('CHANGED', pin.id, pin.version), process.env.FORCE ? (pins[i] = pin) : 0);
  }
  writeFileSync(p, JSON.stringify(pins));
});
