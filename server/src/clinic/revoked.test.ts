import request from 'supertest';
import { v7 } from 'uuid';
import { userEntity } from '../database/entities';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';

// A session that was ended stays ended, whatever its client has under way.

let clinic: TestClinic;
beforeEach(async () => {
  clinic = await testClinic();
});
afterEach(() => clinic.close());

const tablet = () => request.agent(clinic.app);
type Agent = ReturnType<typeof tablet>;
const signIn = (agent: Agent, login: string, password = testPassword) =>
  agent.post('/api/session').send({ login, password });

/**
 * Writes into a session's own settings from eight loops at once, while something is done to it.
 * @param work done in the middle of it
 * @returns the answers that came after the work was done
 */
async function whileWriting(agent: Agent, work: () => Promise<unknown>): Promise<number[]> {
  let done = false;
  let over = false;
  const after: number[] = [];
  const loop = async (i: number) => {
    for (let n = 0; !over; n += 1) {
      const wasDone = done;
      const { status } =
        (i + n) % 3 === 0
          ? await agent.put('/api/session/fingers').send({ threeFingers: 50 + i })
          : await agent.put('/api/session/language').send({ language: n % 2 ? 'en' : 'es' });
      if (wasDone) after.push(status);
    }
  };
  const loops = Array.from({ length: 8 }, (_, i) => loop(i));
  await work();
  done = true;
  while (after.length < 24) await new Promise((resolve) => setTimeout(resolve, 5));
  over = true;
  await Promise.all(loops);
  return after;
}

const iago = () => clinic.as('administrator');
const user = (login: string, more: object) => ({ login, name: 'Lia', role: login, active: true, ...more });

test.each<[string, (agent: Agent, id: string) => Promise<unknown>]>([
  ['a sign-out', (agent) => agent.delete('/api/session').expect(204)],
  ['a sign-out everywhere', async (_, id) => (await iago()).post(`/api/users/${id}/sign-out`).expect(204)],
  [
    'the closing of the account',
    async (_, id) =>
      (await iago())
        .put(`/api/users/${id}`)
        .send(user('reader', { active: false }))
        .expect(200),
  ],
  ['a code', async (_, id) => (await iago()).post(`/api/users/${id}/code`).expect(201)],
  ['a lock', (agent) => agent.post('/api/session/lock').expect(204)],
])('%s holds against eight loops that write into the session', async (_, work) => {
  const agent = tablet();
  await signIn(agent, 'reader').expect(200);
  const after = await whileWriting(agent, () => work(agent, clinic.userOf('reader')));
  expect(new Set(after)).toEqual(new Set([401]));
  expect((await agent.get('/api/people')).status).toBe(401);
});

test('a role and an account count as they stand in the database at each request, whoever changed them there', async () => {
  const agent = tablet();
  await signIn(agent, 'orthotist').expect(200);
  const id = v7();
  const users = clinic.context.db.getRepository(userEntity);
  await users.update({ id: clinic.userOf('orthotist') }, { role: 'reception' });
  await agent.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(403);
  expect((await agent.get('/api/session')).body.user.role).toBe('reception');
  await users.update({ id: clinic.userOf('orthotist') }, { role: 'orthotist', active: false });
  expect((await agent.post(`/api/cases/${id}/entries`).send(clinic.opened(id))).status).toBe(401);
  expect((await agent.get('/api/session')).body.user).toBeNull();
});

test('a password that was changed while it was verified signs nobody in', async () => {
  const id = clinic.userOf('reader');
  const answers = await Promise.all([
    ...Array.from({ length: 6 }, () => signIn(tablet(), 'reader')),
    (await iago()).post(`/api/users/${id}/code`),
  ]);
  const code = answers.at(-1)!;
  expect(code.status).toBe(201);
  // whoever came in before it is out again
  const rows = await clinic.context.db.query<unknown[]>('SELECT 1 FROM session WHERE user = ?', [id]);
  expect(rows).toEqual([]);
});

test('a sign-in while a change of the password is under way waits for it, and fails', async () => {
  const id = clinic.userOf('reader');
  const { db } = clinic.context;
  const change = db.createQueryRunner();
  await change.startTransaction('READ COMMITTED');
  await change.query('UPDATE user SET passwordHash = ? WHERE id = ?', ['changed', id]);
  await change.query('DELETE FROM session WHERE user = ?', [id]);
  let answered = false;
  const signing = signIn(tablet(), 'reader').then((answer) => {
    answered = true;
    return answer;
  });
  const waits = async () => {
    const [row] = await db.query<{ waiting: string }[]>(
      "SELECT COUNT(*) AS waiting FROM information_schema.processlist WHERE db = DATABASE() AND info LIKE 'INSERT INTO `session`%'",
    );
    return Number(row!.waiting) > 0;
  };
  while (!answered && !(await waits())) await new Promise((resolve) => setTimeout(resolve, 20));
  await change.commitTransaction();
  await change.release();
  expect((await signing).status).toBe(401);
  expect(await db.query('SELECT 1 FROM session WHERE user = ?', [id])).toEqual([]);
});

test('a one-time code works once, also when it is used by six at once', async () => {
  const id = clinic.userOf('reader');
  const { code } = (await (await iago()).post(`/api/users/${id}/code`).expect(201)).body;
  const answers = await Promise.all(
    Array.from({ length: 6 }, (_, i) =>
      tablet()
        .post('/api/session')
        .send({ login: 'reader', password: code, next: `gorse lantern plover 4${i}` }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 401, 401, 401, 401, 401]);
});

describe('PINs', () => {
  const choosePin = (agent: Agent, pin: string) =>
    agent.put('/api/session/pin').send({ password: testPassword, pin });

  test('five tries are five, also when sixty are made at once and from sixty addresses', async () => {
    const fresh = await testClinic({ trustProxy: 1 });
    const agent = request.agent(fresh.app);
    await agent.post('/api/session').send({ login: 'reader', password: testPassword }).expect(200);
    await choosePin(agent, '2580').expect(204);
    const id = fresh.userOf('reader');
    const tries = await Promise.all(
      Array.from({ length: 60 }, (_, i) =>
        agent
          .post('/api/session/switch')
          .set('X-Forwarded-For', `203.0.113.${i}`)
          .send({ user: id, pin: '0007' }),
      ),
    );
    expect(tries.filter(({ body }) => body.title === 'Not signed in')).toHaveLength(5);
    expect(tries.filter(({ body }) => body.title === 'Not by PIN')).toHaveLength(55);
    expect((await agent.post('/api/session/switch').send({ user: id, pin: '2580' })).status).toBe(401);
    await fresh.close();
  });

  test('ten refused weak PINs close nobody out, ten wrong passwords do', async () => {
    const fresh = await testClinic({ signInTries: 10 });
    const agent = request.agent(fresh.app);
    const signInHere = () => agent.post('/api/session').send({ login: 'reader', password: testPassword });
    await signInHere().expect(200);
    for (let i = 0; i < 10; i += 1) expect((await choosePin(agent, '0000')).status).toBe(422);
    await choosePin(agent, '2580').expect(204);
    await signInHere().expect(200);
    for (let i = 0; i < 10; i += 1)
      await agent.put('/api/session/pin').send({ password: 'wrong password', pin: '2580' }).expect(422);
    expect((await choosePin(agent, '2580')).status).toBe(429);
    await fresh.close();
  });

  test('whoever takes over from a machine that was signed out meanwhile does not get in', async () => {
    const agent = tablet();
    await signIn(agent, 'reader').expect(200);
    await choosePin(agent, '2580').expect(204);
    const id = clinic.userOf('reader');
    const results = await Promise.all([
      agent.post('/api/session/switch').send({ user: id, pin: '2580' }),
      agent.delete('/api/session'),
    ]);
    expect(results[1]!.status).toBe(204);
    // either the sign-out came first, or it ended the session that had taken over
    const [{ open }] = (await clinic.context.db.query('SELECT COUNT(*) AS open FROM session')) as [
      { open: string },
    ];
    if (results[0]!.status === 401) expect(Number(open)).toBe(0);
    else expect(results[0]!.status).toBe(200);
  });
});

test('sign-out, lock, refusals of a role, who opened or looked for whom, an export: all stand in the audit', async () => {
  const lia = tablet();
  await signIn(lia, 'reader').expect(200);
  await lia.get(`/api/people/${clinic.person}`).expect(200);
  await lia.get(`/api/people/${clinic.person}`).expect(200);
  await lia.get('/api/people?find=castrelo').expect(200);
  await lia.get('/api/cases?find=iria').expect(200);
  await lia.get('/api/catalogue/export.csv').expect(200);
  await lia.get('/api/audit').expect(403);
  await lia.post('/api/session/lock').expect(204);
  await lia.delete('/api/session').expect(204);
  const { lines } = (await (await iago()).get('/api/audit').expect(200)).body;
  const by = clinic.userOf('reader');
  const mine = (lines as { user: string; action: string; subject: string }[])
    .filter((line) => line.user === by)
    .map(({ action, subject }) => [action, subject]);
  expect(mine).toEqual([
    ['session.closed', by],
    ['session.locked', by],
    ['role.refused', '/audit'],
    ['catalogue.exported', 'catalogue'],
    ['person.searched', 'cases'],
    ['person.searched', 'people'],
    ['person.read', clinic.person],
    ['session.opened', by],
  ]);
  expect(JSON.stringify(lines)).not.toContain('castrelo');
});
