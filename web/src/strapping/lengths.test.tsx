import { decideSize } from '@estribo/core/sizing';
import { foldCase } from '@estribo/core/logbook';
import { screen } from '@testing-library/react';
import { dialContext, testLogbook } from '../../../core/src/logbook/test-case';
import { showStage } from '../case/test-stage';
import StrapStage from './strap-stage';

/** A post-operative brace with everything chosen. */
function dialLog() {
  const log = testLogbook(dialContext);
  log.looked();
  log.order({ phases: [{ fromDay: 0, limits: [] }] });
  log.write('size.chosen', decideSize(foldCase(log.entries, dialContext)!)!);
  return log;
}

/** It went on by its list. */
function onceOn() {
  const log = dialLog();
  log.write('strap.begun', { list: 'putting-on' });
  return log;
}

const name = 'Shorten what is too long';

test('nothing is cut before what it waits for; folded it may be', async () => {
  const { user, written } = await showStage(StrapStage, dialLog(), { context: dialContext });
  expect(screen.getByRole('heading', { name })).toBeTruthy();
  expect(screen.getByText(/Nothing is cut before it went on once/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Cut' })).toBeNull();
  await user.type(screen.getByLabelText('Length'), '310');
  await user.click(screen.getByRole('button', { name: 'Folded and closed once' }));
  expect(written[0]!.body).toEqual({
    operation: 'shorten-straps',
    part: 'strap-upper-thigh',
    amount: 310,
    way: 'folded',
  });
  // folded, and still not to be cut
  expect(screen.queryByRole('button', { name: 'Cut' })).toBeNull();
});

test('folded and closed once, then cut; the number is shown twice before it is', async () => {
  const { user, written } = await showStage(StrapStage, onceOn(), { context: dialContext });
  expect(screen.getByText(/Fold it to length and close it once/)).toBeTruthy();
  await user.type(screen.getByLabelText('Length'), '310');
  await user.click(screen.getByRole('button', { name: 'Folded and closed once' }));
  await user.click(screen.getByRole('button', { name: 'Cut' }));
  expect(screen.getByRole('heading', { name: 'Cut “Upper thigh strap” to 310 mm?' })).toBeTruthy();
  expect(screen.getByText('310 mm')).toBeTruthy();
  // cancelled, nothing is cut
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(written).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Cut' }));
  await user.click(screen.getByRole('button', { name: 'Cut at 310 mm' }));
  expect(written[1]!.body).toMatchObject({ amount: 310, way: 'cut' });
  expect(screen.getByText('cut to 310 mm')).toBeTruthy();
});

test('what is needed follows from girth, share and overlap, with room for the largest expected', async () => {
  const { user } = await showStage(StrapStage, onceOn(), { context: dialContext });
  await user.type(screen.getByLabelText('Girth at the strap'), '500');
  // half the girth over the front, and 50 mm over itself
  expect(screen.getByText('Needed: 300 mm.')).toBeTruthy();
  await user.type(screen.getByLabelText('Largest girth expected'), '540');
  expect(screen.getByText('Needed: 320 mm.')).toBeTruthy();
});
