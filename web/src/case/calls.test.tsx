import { screen } from '@testing-library/react';
import { Calls } from './calls';
import { contextOf, testLogbook } from '../../../core/src/logbook/test-case';
import { orderedLogbook, showStage } from './test-stage';

const unsafe = (trouble: 'keep-on' | 'take-off', check = 'toes-warm-moving-felt') => {
  const log = orderedLogbook({ protective: trouble === 'keep-on', trouble });
  const of = log.write('check.recorded', { check, seen: false });
  return { log, of };
};

// common practice, no source: cold, blue, numb toes under a protective brace
test('under a protective order the brace stays: loosen the straps, keep the joint held, emergency call', async () => {
  await showStage(Calls, unsafe('keep-on').log);
  expect(screen.getByRole('heading', { name: /^Call a physician now: failed, Toes/ })).toBeTruthy();
  expect(
    screen.getByText(/loosen the straps, keep the joint held in the brace, emergency call/),
  ).toBeTruthy();
});

test('otherwise it comes off', async () => {
  await showStage(Calls, unsafe('take-off').log);
  expect(screen.getByText(/open the straps, take it off and look again/)).toBeTruthy();
});

test('each check has its own words, or those of its kind', async () => {
  const context = contextOf('knee-postop', {
    sizes: ['one'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const log = testLogbook(context);
  log.looked();
  log.order({ protective: true, trouble: 'keep-on' });
  log.write('check.recorded', { check: 'capillary-refill', value: 4 });
  await showStage(Calls, log, { context });
  expect(screen.getByText(/open what presses, keep the joint held/)).toBeTruthy();
});

test('a call that is made says whom and what they said, and is written with what it is about', async () => {
  const { log, of } = unsafe('keep-on');
  const { user, written } = await showStage(Calls, log);
  await user.click(screen.getByRole('button', { name: 'The call is made' }));
  await user.click(screen.getByRole('button', { name: 'The call is made' }));
  expect(screen.getByText('Say whom you called and what they said.')).toBeTruthy();
  expect(written).toEqual([]);
  await user.type(screen.getByLabelText('Whom'), 'Dr Nogueira');
  await user.type(screen.getByLabelText('What they said'), 'comes at once');
  await user.click(screen.getByRole('button', { name: 'The call is made' }));
  expect(written).toEqual([
    {
      kind: 'call.made',
      stage: 'check',
      body: { of, about: 'toes-warm-moving-felt', whom: 'Dr Nogueira', said: 'comes at once' },
    },
  ]);
  expect(screen.getByText('Told Dr Nogueira, 24 Nov: comes at once')).toBeTruthy();
});

test('nothing to tell says nothing', async () => {
  await showStage(Calls, orderedLogbook());
  expect(screen.queryByRole('heading')).toBeNull();
});
