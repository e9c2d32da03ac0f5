import { runClinic } from './run-clinic.mjs';
import { run } from './steps.mjs';

await run(() => {
  console.log('Estribo, a fitting bench for orthotists');
  return runClinic({
    name: 'database',
    demo: true,
    fresh: process.argv.includes('--fresh'),
    ready: (address) => {
      console.log(`\nOpen ${address}`);
      console.log(
        'Sign in as ana or xela (orthotists), teo (technician), marga (reception), lia (reader) or iago (administrator);',
      );
      console.log('the password is ribanova-demo. Ctrl-C stops everything; the data stay.\n');
    },
  });
});
