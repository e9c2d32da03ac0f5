import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRef, useState } from 'react';
import { useKeptFocus } from './kept-focus';

/** A stage of three parts, the second of which cannot be pressed while it is saved, and then changes into another. */
function Stage({ after, field = '' }: { after: 'a button' | 'nothing'; field?: string }) {
  const place = useRef<HTMLElement>(null);
  const [pressed, press] = useState(false);
  const [saving, setSaving] = useState(false);
  useKeptFocus(place, 'set');
  return (
    <main ref={place}>
      <h1>Stage</h1>
      <section>
        <input aria-label="motion" defaultValue={field} />
      </section>
      <section>
        {pressed ? (
          after === 'a button' && <button data-look="main">Fitted</button>
        ) : (
          <button
            data-look="main"
            disabled={saving}
            onClick={() => {
              setSaving(true);
              setTimeout(() => press(true), 80);
            }}
          >
            Choose
          </button>
        )}
      </section>
      <input type="checkbox" aria-label="ticked" />
    </main>
  );
}

/** After all that was begun until now has waited as long as it will, and what follows from it. */
async function longAfterwards(): Promise<void> {
  await act(() => jest.advanceTimersByTimeAsync(60_000));
}
afterEach(() => jest.useRealTimers());

test.each([
  // what follows the place that was left comes before an empty field above it
  ['a button', '', () => screen.getByRole('button', { name: 'Fitted' })],
  // nothing follows: the empty field
  ['nothing', '', () => screen.getByLabelText('motion')],
  // nothing is left to do
  ['nothing', '0-0-120', () => screen.getByRole('heading')],
] as const)(
  'the button goes away, %s and field "%s" stay: the next thing has the focus',
  async (after, field, next) => {
    const user = userEvent.setup();
    render(<Stage after={after} field={field} />);
    await user.click(screen.getByRole('button', { name: 'Choose' }));
    await waitFor(() => expect(document.activeElement).toBe(next()));
  },
);

/** A stage whose next thing comes some time after what was pressed has gone. */
function Slow() {
  const place = useRef<HTMLElement>(null);
  const [shown, show] = useState<'before' | 'nothing' | 'after'>('before');
  useKeptFocus(place, 'set');
  return (
    <main ref={place}>
      <h1>Stage</h1>
      {shown === 'before' && (
        <button
          data-look="main"
          onClick={() => {
            show('nothing');
            setTimeout(() => show('after'), 300);
          }}
        >
          Choose
        </button>
      )}
      {shown === 'after' && <button data-look="main">Fitted</button>}
    </main>
  );
}

test('where the next thing comes late the heading stands in for it, and hands the focus on', async () => {
  const user = userEvent.setup();
  render(<Slow />);
  await user.click(screen.getByRole('button', { name: 'Choose' }));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('heading')));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Fitted' })));
});

test('whoever has gone on from the heading by themselves is not called back', async () => {
  jest.useFakeTimers();
  const user = userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) });
  render(<Slow />);
  await user.click(screen.getByRole('button', { name: 'Choose' }));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('heading')));
  await user.keyboard('{ArrowDown}');
  await screen.findByRole('button', { name: 'Fitted' });
  await longAfterwards();
  expect(document.activeElement).toBe(screen.getByRole('heading'));
});

test('a focus outside the stage is left where it is when the stage changes', async () => {
  const at = (shown: boolean) => (
    <>
      <button>Bench</button>
      {shown ? <Stage after="nothing" /> : <Stage after="a button" field="1" key="new" />}
    </>
  );
  const { rerender } = render(at(true));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('heading')));
  screen.getByRole('button', { name: 'Bench' }).focus();
  jest.useFakeTimers();
  rerender(at(false));
  await longAfterwards();
  expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Bench' }));
});

test('a heading that comes late, or another in its place, has the focus all the same', async () => {
  function Late({ heading }: { heading: string | undefined }) {
    const place = useRef<HTMLElement>(null);
    useKeptFocus(place, 'screen');
    return (
      <main ref={place}>
        {heading && <h1 key={heading}>{heading}</h1>}
        <input aria-label="diagnosis" />
      </main>
    );
  }
  jest.useFakeTimers();
  const { rerender } = render(<Late heading={undefined} />);
  await longAfterwards();
  expect(document.activeElement).toBe(document.body);
  jest.useRealTimers();
  rerender(<Late heading="One moment" />);
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText('One moment')));
  rerender(<Late heading="May this be fitted today?" />);
  await waitFor(() => expect(document.activeElement).toBe(screen.getByText('May this be fitted today?')));
});

test('what has the focus before the stage is watched is known to have had it', async () => {
  function Begun() {
    const place = useRef<HTMLElement>(null);
    const [taken, take] = useState(false);
    useKeptFocus(place, 'size');
    return (
      <main ref={place}>
        <h1>Size</h1>
        {taken ? (
          <button data-look="main">On</button>
        ) : (
          // it takes the focus as it appears, and nothing moves the focus after that
          <button data-look="main" autoFocus onClick={() => take(true)}>
            Take
          </button>
        )}
      </main>
    );
  }
  render(<Begun />);
  expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Take' }));
  await userEvent.setup().keyboard('{Enter}');
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name: 'On' })));
});
