import { testLogbook } from '../../../core/src/logbook/test-case';
import { screen } from '@testing-library/react';
import { showStage } from '../case/test-stage';
import { Button } from '../parts/button';
import { ReadingField } from '../parts/reading-field';
import { useEntryForm } from './use-entry-form';

const label = 'Room';

/** The smallest form of an entry: one number that may stay empty, and one that must be there. */
function Form() {
  const { typed, type, problems, saving, submit } = useEntryForm({
    kind: 'shape.heat',
    stage: 'shape',
    draft: 'test',
    empty: { room: '', celsius: '' },
    body: (_typed, { number, numberOrNone }) => {
      const room = numberOrNone('room', { label, quantity: 'count', sign: '°C' });
      return {
        operation: 'mould',
        run: 'oven',
        part: 'shell',
        what: 'read',
        celsius: number('celsius', { label: 'Celsius', quantity: 'count' }),
        ...(room === undefined ? {} : { room }),
      };
    },
  });
  return (
    <>
      {(['room', 'celsius'] as const).map((name) => (
        <ReadingField
          key={name}
          small
          label={name}
          kind="count"
          unit="mm"
          sign="°C"
          value={typed[name]}
          onChange={(text) => type({ [name]: text })}
          onEnter={submit}
          problem={problems[name]}
        />
      ))}
      {problems.root && <p>{problems.root}</p>}
      <Button onPress={submit} isDisabled={saving}>
        Send
      </Button>
    </>
  );
}

const send = () => screen.getByRole('button', { name: 'Send' });

test('a number is read, held against the bounds of the entry’s schema beside its field, and written once', async () => {
  const { user, written } = await showStage(Form, testLogbook());
  await user.click(send());
  expect(screen.getByText('Type a number.')).toBeTruthy();
  await user.type(screen.getByLabelText('celsius'), '40');
  expect(screen.queryByText('Type a number.')).toBeNull();
  await user.type(screen.getByLabelText('room'), '51');
  await user.click(send());
  expect(screen.getByText('Room: from 0 °C to 50 °C.')).toBeTruthy();
  expect(written).toEqual([]);
  await user.clear(screen.getByLabelText('room'));
  await user.type(screen.getByLabelText('room'), '50{Enter}');
  expect(written).toMatchObject([{ kind: 'shape.heat', stage: 'shape', body: { room: 50, celsius: 40 } }]);
  // what was sent is no draft any more
  expect(screen.getByLabelText<HTMLInputElement>('celsius').value).toBe('');
});

test('what is typed stays as it was typed until it is sent', async () => {
  const first = await showStage(Form, testLogbook());
  await first.user.type(screen.getByLabelText('celsius'), '4o.50');
  await first.user.click(send());
  expect(first.written).toEqual([]);
  first.leave();
  await showStage(Form, testLogbook(), { keepsDrafts: true });
  expect(screen.getByLabelText<HTMLInputElement>('celsius').value).toBe('4o.50');
});
