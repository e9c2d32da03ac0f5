import request from 'supertest';
import { v7 } from 'uuid';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
let now = new Date('2026-11-24T08:00:00Z');
beforeEach(async () => {
  now = new Date('2026-11-24T08:00:00Z');
  clinic = await testClinic({ now: () => now });
});
afterEach(() => clinic.close());

const later = (hours: number) => {
  now = new Date(now.getTime() + hours * 3600_000);
};
const chosen = 'gorse lantern plover 48';
const tablet = () => request.agent(clinic.app);
type Agent = ReturnType<typeof tablet>;
const signIn = (agent: Agent, login: string, password = testPassword) =>
  agent.post('/api/session').send({ login, password });
const choosePin = (agent: Agent, pin: string) =>
  agent.put('/api/session/pin').send({ password: testPassword, pin });
const takeOver = (agent: Agent, user: string, pin: string) =>
  agent.post('/api/session/switch').send({ user, pin });

/** A tablet at which the orthotist and the technician have signed in today, with their PINs; the technician last. */
async function shared(): Promise<Agent> {
  const agent = tablet();
  await signIn(agent, 'orthotist').expect(200);
  await choosePin(agent, '2580').expect(204);
  await signIn(agent, 'technician').expect(200);
  await choosePin(agent, '1397').expect(204);
  return agent;
}

test('who is new signs in with a code once, and chooses a password by it', async () => {
  const iago = await clinic.as('administrator');
  const id = v7();
  await iago
    .put(`/api/users/${id}`)
    .send({ login: 'uxia', name: 'Uxia Rei', role: 'technician', active: true })
    .expect(200);
  const { code } = (await iago.post(`/api/users/${id}/code`).expect(201)).body;
  const uxia = tablet();
  const by = (more: object) => uxia.post('/api/session').send({ login: 'uxia', password: code, ...more });
  expect((await by({})).body.faults).toEqual([
    expect.objectContaining({ at: 'next', message: 'is needed: choose a password of your own' }),
  ]);
  expect((await by({ next: 'uxia rei 1' })).body.faults[0].at).toBe('next');
  expect((await uxia.get('/api/people')).status).toBe(401);
  // typed off a slip of paper
  const typed = code.toLowerCase().replaceAll('-', ' ');
  await uxia.post('/api/session').send({ login: 'uxia', password: typed, next: chosen }).expect(200);
  await uxia.get('/api/people').expect(200);
  // the code is spent, the password holds
  expect((await by({ next: `${chosen} 9` })).status).toBe(401);
  await signIn(tablet(), 'uxia', chosen).expect(200);
});

test('a code ends the sessions and the password of before, and runs out after two days', async () => {
  const iago = await clinic.as('administrator');
  const lia = tablet();
  await signIn(lia, 'reader').expect(200);
  const { code } = (await iago.post(`/api/users/${clinic.userOf('reader')}/code`).expect(201)).body;
  expect((await lia.get('/api/people')).status).toBe(401);
  expect((await signIn(lia, 'reader')).status).toBe(401);
  later(49);
  expect(
    (await lia.post('/api/session').send({ login: 'reader', password: code, next: chosen })).status,
  ).toBe(401);
  // nobody takes the own password away
  await signIn(iago, 'administrator').expect(200);
  expect((await iago.post(`/api/users/${clinic.userOf('administrator')}/code`)).status).toBe(409);
});

test('the administrator signs somebody out everywhere, and sees at how many machines they are', async () => {
  const [one, two] = [tablet(), tablet()];
  await signIn(one, 'reader').expect(200);
  await signIn(two, 'reader').expect(200);
  const iago = await clinic.as('administrator');
  const sessions = async () =>
    (await iago.get('/api/users')).body.users.find(({ login }: { login: string }) => login === 'reader')
      .sessions;
  expect(await sessions()).toBe(2);
  await iago.post(`/api/users/${clinic.userOf('reader')}/sign-out`).expect(204);
  expect(await sessions()).toBe(0);
  for (const agent of [one, two]) expect((await agent.get('/api/people')).status).toBe(401);
});

test('who has signed in here today takes over by PIN, and is written down as themselves', async () => {
  const agent = await shared();
  const { body } = await takeOver(agent, clinic.userOf('orthotist'), '2580').expect(200);
  expect(body.user).toMatchObject({ role: 'orthotist' });
  expect(body.here.map(({ role }: { role: string }) => role).sort()).toEqual(['orthotist', 'technician']);
  // rights are those of who is there now
  await agent.get('/api/audit').expect(403);
  await takeOver(agent, clinic.userOf('technician'), '1397').expect(200);
  expect((await agent.get('/api/session')).body.user.role).toBe('technician');
});

test('a PIN is good only where its owner signed in with the password, and no longer than a day’s work', async () => {
  const agent = await shared();
  const stranger = tablet();
  await signIn(stranger, 'reader').expect(200);
  expect((await takeOver(stranger, clinic.userOf('orthotist'), '2580')).status).toBe(401);
  expect((await takeOver(tablet(), clinic.userOf('orthotist'), '2580')).status).toBe(401);
  later(13);
  expect((await takeOver(agent, clinic.userOf('orthotist'), '2580')).status).toBe(401);
});

test('after five wrong PINs only the password helps, and a code takes the PIN away', async () => {
  const agent = await shared();
  const orthotist = clinic.userOf('orthotist');
  for (let i = 0; i < 5; i += 1) expect((await takeOver(agent, orthotist, '0007')).status).toBe(401);
  expect((await takeOver(agent, orthotist, '2580')).body.detail).toMatch(/password/);
  await signIn(agent, 'orthotist').expect(200);
  await takeOver(agent, orthotist, '2580').expect(200);
  await (await clinic.as('administrator')).post(`/api/users/${clinic.userOf('technician')}/code`).expect(201);
  expect((await takeOver(agent, clinic.userOf('technician'), '1397')).status).toBe(401);
});

test('who is signed out everywhere takes over by PIN nowhere', async () => {
  const agent = await shared();
  const iago = await clinic.as('administrator');
  await iago.post(`/api/users/${clinic.userOf('orthotist')}/sign-out`).expect(204);
  expect((await takeOver(agent, clinic.userOf('orthotist'), '2580')).status).toBe(401);
  // whoever is at the machine goes on
  await agent.get('/api/people').expect(200);
});

test.each(['123', '0000', '1234', '4321', '12345678', 'abcd', '123456789'])('%s is no PIN', async (pin) => {
  const agent = tablet();
  await signIn(agent, 'reader').expect(200);
  const { status, body } = await choosePin(agent, pin);
  expect([status, body.faults[0].at]).toEqual([422, 'pin']);
});

test('a locked machine answers nothing but who may unlock it, after a reload too', async () => {
  const agent = await shared();
  await agent.post('/api/session/lock').expect(204);
  for (const path of ['/api/people', '/api/bench', '/api/staff'])
    expect((await agent.get(path)).body).toMatchObject({ status: 401, title: 'Locked' });
  expect((await agent.get('/api/session')).body).toMatchObject({
    locked: true,
    user: { role: 'technician' },
  });
  await takeOver(agent, clinic.userOf('technician'), '1397').expect(200);
  await agent.get('/api/people').expect(200);
  await agent.post('/api/session/lock').expect(204);
  await signIn(agent, 'technician').expect(200);
  expect((await agent.get('/api/session')).body.locked).toBe(false);
});

test('a machine that is switched from one to the other ends with its day all the same', async () => {
  const agent = await shared();
  for (let i = 0; i < 5; i += 1) {
    later(3);
    await takeOver(agent, clinic.userOf(i % 2 ? 'technician' : 'orthotist'), i % 2 ? '1397' : '2580');
  }
  expect((await agent.get('/api/people')).status).toBe(401);
});
