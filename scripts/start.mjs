import { networkAddresses, runClinic } from './run-clinic.mjs';
import { run } from './steps.mjs';

// A clinic of your own, without demo data, over TLS for the clinic's network unless told otherwise.
process.env.ESTRIBO_TLS ??= 'own';
process.env.ESTRIBO_HOST ??= process.env.ESTRIBO_TLS === 'off' ? '127.0.0.1' : '0.0.0.0';

await run(() => {
  console.log('Estribo, a fitting bench for orthotists');
  return runClinic({
    name: 'clinic',
    demo: false,
    fresh: false,
    ready: (address) => {
      console.log(`\nOpen ${address} on this machine`);
      if (process.env.ESTRIBO_HOST === '0.0.0.0')
        for (const one of networkAddresses())
          console.log(`or ${address.replace('127.0.0.1', one)} in the clinic's network`);
      console.log('Ctrl-C stops everything; the data stay.\n');
    },
  });
});
