import { speak } from '../messages';
import { fixed, formatFine, formatNumber, formatReading, signed } from './format';

afterEach(() => speak('en'));

const said = () => [
  signed(-2.5),
  signed(0.1 + 0.2),
  signed(1750),
  signed(-0),
  fixed(12.25, 1),
  fixed(1750.5, 0),
  formatNumber(42.5, 'kg', 'mm'),
  formatFine(0.6, 'mm', 'mm'),
  formatReading(365, 'mm', 'cm'),
];

test('numbers have the decimal sign of the language, no sign for thousands, and a minus sign as typographers set it', async () => {
  const english = ['−2.5', '0.3', '1750', '0', '12.3', '1751', '42.5', '0.6 mm', '36.5 cm'];
  expect(said()).toEqual(english);
  await speak('es');
  expect(said()).toEqual(english.map((one) => one.replace('.', ',')));
});
