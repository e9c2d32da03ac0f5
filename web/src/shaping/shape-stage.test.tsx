import { decideSize } from '@estribo/core/sizing';
import { screen } from '@testing-library/react';
import { foldCase } from '@estribo/core/logbook';
import { dialContext, testLogbook } from '../../../core/src/logbook/test-case';
import { sizedLogbook, showStage } from '../case/test-stage';
import ShapeStage from './shape-stage';

test('pads lie on a scar: the one that splits straddles it, and all go in as advised', async () => {
  const { user, written, figure } = await showStage(ShapeStage, sizedLogbook());
  await user.click(screen.getByRole('button', { name: 'Note a scar or a wound' }));
  await user.type(screen.getByLabelText('From (− is below the mark)'), '-20');
  await user.type(screen.getByLabelText('To'), '−16 cm');
  await user.click(screen.getByRole('button', { name: 'Take it' }));
  expect(written[0]!.body).toEqual({ what: 'scar', face: 'front', from: -20, to: -160 });
  expect(screen.getByText('lies on the scar: split it and straddle the scar')).toBeTruthy();
  expect(figure().marks.find(({ kind }) => kind === 'scar')).toMatchObject({
    at: { from: 'mid-kneecap', offset: -20, face: 'front' },
    to: { from: 'mid-kneecap', offset: -160 },
  });
  await user.click(screen.getByRole('button', { name: 'All pads as advised' }));
  expect(written.slice(1).map(({ body }) => body)).toEqual([
    { operation: 'place-pads', part: 'thigh-front', way: 'placed' },
    { operation: 'place-pads', part: 'shin-strap-4', way: 'split' },
  ]);
});

test('a bend is judged before it is made, and the account says what is left', async () => {
  const { user, written } = await showStage(ShapeStage, sizedLogbook());
  await user.type(screen.getByLabelText('From the hinge (− is below)'), '-30');
  await user.type(screen.getByLabelText('Amount'), '6');
  expect(screen.getByText(/Too near to the hinge. More than one bend takes./)).toBeTruthy();
  await user.clear(screen.getByLabelText('From the hinge (− is below)'));
  await user.type(screen.getByLabelText('From the hinge (− is below)'), '-110');
  await user.clear(screen.getByLabelText('Amount'));
  await user.type(screen.getByLabelText('Amount'), '4{Enter}');
  expect(written[0]!.body).toEqual({
    operation: 'bend-uprights',
    part: 'upright-medial',
    at: -110,
    direction: 'away-from-limb',
    amount: 4,
  });
  expect(screen.getByText(/110 mm below hinge, 4° away from the limb meant to stay/)).toBeTruthy();
  expect(screen.getByText('Medial upright: 4° spent, 11° left of 15°.')).toBeTruthy();
});

test('a bend outside what the maker allows asks for the reason, and is taken with it', async () => {
  const { user, written } = await showStage(ShapeStage, sizedLogbook());
  await user.type(screen.getByLabelText('From the hinge (− is below)'), '5');
  await user.type(screen.getByLabelText('Amount'), '10{Enter}');
  expect(written).toEqual([]);
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(screen.getByLabelText('Why it was done all the same'), 'the prescriber stood by');
  await user.click(screen.getByRole('button', { name: 'Note the bend' }));
  expect(written[0]!.body).toMatchObject({ at: 5, amount: 10, inSpite: 'the prescriber stood by' });
});

test('a bend without a place is asked again', async () => {
  const { user, written } = await showStage(ShapeStage, sizedLogbook());
  await user.click(screen.getByRole('button', { name: 'Note the bend' }));
  expect(screen.getAllByText('Type a number.').length).toBe(2);
  expect(written).toEqual([]);
});

test('in inch mode a place on the limb is inches: typed with eighths, said below, listed', async () => {
  const { user, written } = await showStage(ShapeStage, sizedLogbook(), { unit: 'in' });
  await user.type(screen.getByLabelText('From the hinge (− is below)'), '-4 3/8');
  expect(screen.getByText('= 4 3/8 in below the hinge')).toBeTruthy();
  await user.type(screen.getByLabelText('Amount'), '4{Enter}');
  expect(written[0]!.body).toMatchObject({ at: -111.125, amount: 4 });
  expect(screen.getByText(/4 3\/8 in below hinge, 4° away from the limb meant to stay/)).toBeTruthy();
  await user.type(screen.getByLabelText('From the hinge (− is below)'), '99');
  await user.type(screen.getByLabelText('Amount'), '1{Enter}');
  expect(screen.getByText(/: from −.* in to .* in\.$/)).toBeTruthy();
  expect(screen.queryByText(/\bmm\b/)).toBeNull();
});

test('how much is asked in its unit and kept in bounds; work that needs something first says so without words of its own', async () => {
  const context = {
    ...dialContext,
    programme: {
      ...dialContext.programme,
      operations: [
        {
          kind: 'flare' as const,
          id: 'flare-edge',
          parts: ['strap-upper-calf'],
          unit: 'mm' as const,
          requires: { kind: 'passed' as const, check: 'wound-clear' },
        },
      ],
    },
  };
  const log = testLogbook(context);
  log.looked();
  log.order({ phases: [{ fromDay: 0, limits: [] }] });
  log.write('size.chosen', decideSize(foldCase(log.entries, context)!)!);
  const { user, written } = await showStage(ShapeStage, log, { context });
  expect(screen.getByText('What it requires first is not so yet.')).toBeTruthy();
  await user.type(screen.getByLabelText('Why it was done all the same'), 'it cut in');
  await user.type(screen.getByLabelText('How much'), '2700');
  await user.click(screen.getByRole('button', { name: 'flare-edge: Done' }));
  expect(written).toEqual([]);
  await user.clear(screen.getByLabelText('How much'));
  await user.type(screen.getByLabelText('How much'), '4');
  await user.click(screen.getByRole('button', { name: 'flare-edge: Done' }));
  expect(written[0]!.body).toEqual({
    operation: 'flare-edge',
    part: 'strap-upper-calf',
    amount: 4,
    inSpite: 'it cut in',
  });
});

test('a pad’s thickness and why stand in the record, beside how it went in', async () => {
  const { user, written } = await showStage(ShapeStage, sizedLogbook());
  await user.click(screen.getByRole('button', { name: 'All pads as advised' }));
  await user.click(screen.getByRole('button', { name: /^Pads: all/ }));
  await user.click(screen.getByRole('button', { name: 'Thickness, and why' }));
  await user.type(screen.getByLabelText('Thickness'), '99');
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  expect(written).toHaveLength(2);
  await user.clear(screen.getByLabelText('Thickness'));
  await user.type(screen.getByLabelText('Thickness'), '4');
  await user.type(screen.getByLabelText('Why'), 'thin thigh');
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  expect(written[2]!.body).toEqual({
    operation: 'place-pads',
    part: 'thigh-front',
    way: 'placed',
    amount: 4,
    because: 'thin thigh',
  });
});

test('what comes to lie on a wound is told with what would free it; bone near a part is told when asked', async () => {
  const log = sizedLogbook();
  log.write('shape.scar', { what: 'wound', face: 'back', from: -45, to: -60 });
  const { user, figure } = await showStage(ShapeStage, log);
  expect(
    screen.getByText(/^Strap 5: over the wound, 15 mm of it\. Move it (up|down) by \d+ mm\./),
  ).toBeTruthy();
  expect(figure().marks.filter(({ kind }) => kind === 'zone').length).toBeGreaterThan(2);
  await user.click(screen.getByRole('button', { name: /over bone/ }));
  expect(screen.getByText(/Lateral upright: over the fibular head/)).toBeTruthy();
});
