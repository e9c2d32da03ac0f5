import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import {
  formatArc,
  formatClock,
  formatDay,
  formatMinutes,
  formatStops,
  formatWindow,
  signed,
} from './format';
import { QueryClientProvider } from '@tanstack/react-query';
import { queries } from '../api/queries';
import { useDraft } from '../api/draft';
import { ReadingField, readQuantity } from './reading-field';

test.each([
  [{ extension: 5, flexion: 90 }, '5° to 90°'],
  [{ extension: -5, flexion: 90 }, '5° extension to 90°'],
  [{ flexion: 90 }, 'to 90°, extension free'],
  [{ extension: 10 }, '10°, flexion free'],
  [{ extension: 20, flexion: 20 }, 'fixed at 20°'],
  [{ extension: 0, flexion: 0 }, 'fixed at 0°'],
  [{}, 'no range-of-motion limits ordered'],
])('the window %j is printed %s', (window, text) => expect(formatWindow(window)).toBe(text));

// at other joints each end has its name, never a bare sign
test.each([
  ['ankle', 'sagittal', { extension: -10, flexion: 20 }, '10° dorsiflexion to 20° plantarflexion'],
  ['ankle', 'sagittal', { extension: 5 }, '5° plantarflexion, plantarflexion free'],
  ['shoulder', 'frontal', { extension: -90 }, '90° abduction, adduction free'],
  ['neck', 'transverse', { flexion: 0 }, 'to 0°, turned left free'],
] as const)('%s, %s: %j is printed %s', (joint, plane, window, text) =>
  expect(formatWindow(window, { joint, plane })).toBe(text),
);

test('numbers are printed as they are said', () => {
  expect(formatStops({ extension: 0, flexion: null })).toBe('0 / none');
  expect(formatArc({ from: 8, to: undefined })).toBe('8°, flexion free');
  expect(formatDay('2026-12-05')).toBe('5 Dec');
  expect([formatMinutes(45), formatMinutes(60), formatMinutes(90)]).toEqual(['45 min', '1 h', '1 h 30']);
  expect(formatClock(90)).toBe('1:30');
  expect(signed(-9)).toBe('−9');
});

test.each([
  ['14 3/8 in', 'length', { value: 365.125 }],
  ['36,5', 'degrees', { value: 36.5 }],
  ['−5', 'count', { value: -5 }],
  ['31°', 'degrees', { value: 31 }],
] as const)('"%s" as %s', (text, kind, value) => expect(readQuantity(text, kind, 'mm')).toEqual(value));

test.each([
  ['', 'count'],
  ['twelve', 'degrees'],
  ['-3', 'length'],
] as const)('"%s" as %s is asked again', (text, kind) =>
  expect(readQuantity(text, kind, 'mm')).toHaveProperty('problem'),
);

function Taker({ onTake }: { onTake: (text: string) => void }) {
  const [text, setText] = useDraft('test');
  const [problem, setProblem] = useState<string>();
  return (
    <>
      <button type="button">elsewhere</button>
      <ReadingField
        primary
        label="Girth"
        kind="length"
        unit="mm"
        sign="mm"
        value={text}
        onChange={setText}
        onEnter={() => (text === '' ? setProblem('Type a number.') : onTake(text))}
        problem={problem}
      />
    </>
  );
}

/** As somebody who is signed in sees it. */
const as = (id: string, onTake: (text: string) => void) => {
  queries.setQueryData(['session'], {
    user: { id, name: id, role: 'orthotist' },
    clinic: { name: '', zone: 'UTC' },
  });
  return render(
    <QueryClientProvider client={queries}>
      <Taker onTake={onTake} />
    </QueryClientProvider>,
  );
};
const typed = () => (screen.getByLabelText('Girth') as HTMLInputElement).value;

test('digits typed anywhere go to the reading, Enter takes it, and a draft survives', async () => {
  const user = userEvent.setup();
  const onTake = jest.fn();
  const { unmount } = as('ana', onTake);
  act(() => screen.getByText('elsewhere').focus());
  await user.keyboard('366{Enter}');
  expect(onTake).toHaveBeenCalledWith('366');
  unmount();
  as('ana', onTake);
  expect(typed()).toBe('366');
});

test('a draft is its writer’s: who signs in next does not find it, and the writer does', async () => {
  localStorage.clear();
  const user = userEvent.setup();
  const first = as('ana', () => {});
  await user.type(screen.getByLabelText('Girth'), '412');
  first.unmount();
  const next = as('teo', () => {});
  expect(typed()).toBe('');
  await user.type(screen.getByLabelText('Girth'), '9');
  next.unmount();
  as('ana', () => {});
  expect(typed()).toBe('412');
});

test('a problem stands at its field and keeps the input', async () => {
  const user = userEvent.setup();
  localStorage.clear();
  as('ana', () => {});
  await user.type(screen.getByLabelText('Girth'), '{Enter}');
  expect(screen.getByText('Type a number.')).toBeTruthy();
  expect(screen.getByLabelText('Girth').getAttribute('aria-invalid')).toBe('true');
});
