import { engineVersion } from '@estribo/core/record';
import { createConnection, type Connection } from 'mysql2/promise';
import { diskState } from './disk';
import { diskFull, Problem } from './problem';
import type { Context, Route } from './route';

/** Health is told within this, whatever the database does. */
const answerWithin = 700;

/**
 * Asks the database on a connection of its own: a pool that is full, or full of queries that hang, says
 * nothing about whether the database answers.
 */
export class Pulse {
  #connection: Promise<Connection> | undefined;

  constructor(private readonly url: string) {}

  /** @returns whether the database answers in time */
  async beats(): Promise<boolean> {
    this.#connection ??= createConnection({ uri: this.url, connectTimeout: answerWithin });
    const connection = this.#connection;
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<false>((resolve) => {
      timer = setTimeout(() => resolve(false), answerWithin);
    });
    const asked = connection
      .then((open) => open.query('SELECT 1'))
      .then(
        () => true,
        () => false,
      );
    const well = await Promise.race([asked, late]);
    clearTimeout(timer);
    if (!well) {
      // the next one asks anew
      this.#connection = undefined;
      connection.then(
        (open) => open.destroy(),
        () => {},
      );
    }
    return well;
  }

  end(): void {
    this.#connection?.then(
      (open) => open.destroy(),
      () => {},
    );
    this.#connection = undefined;
  }
}

export function healthRoutes({ pulse, sealing }: Context): Route[] {
  return [
    {
      method: 'get',
      path: '/health',
      who: 'open',
      handle: async (_req, res) => {
        if (!(await pulse.beats())) throw new Problem('not-well');
        const disk = await diskState(sealing.path);
        if (disk === 'full') throw diskFull();
        res.json({ status: 'ok', database: 'ok', disk, engine: engineVersion });
      },
    },
  ];
}
