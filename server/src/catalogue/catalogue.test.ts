import { chartsToCsv } from '@estribo/core/exchange';
import { programmes, type Programme } from '@estribo/core/programmes';
import { v7 } from 'uuid';
import { demoModels } from '../demo/models';
import { testClinic, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const ana = () => clinic.as('orthotist');
const model = demoModels.find(({ id }) => id === 'xunco-lixeiro')!;

test('families come in the order of the trade, each with its region', async () => {
  const { body } = await (await ana()).get('/api/catalogue').expect(200);
  expect(body.families.map(({ id }: { id: string }) => id)).toEqual(programmes.map(({ id }) => id));
  expect(body.families[0]).toMatchObject({ region: 'leg', version: programmes[0]!.version });
});

test('models are found by region, family, maker and the beginning of a name', async () => {
  const names = async (query: string) =>
    (await (await ana()).get(`/api/catalogue/models?${query}`).expect(200)).body.models.map(
      ({ id }: { id: string }) => id,
    );
  expect(await names('region=shoulder')).toEqual(['ombreira-vela']);
  expect(await names('family=knee-sleeve')).toEqual(['veiga-suave', 'xunco-lixeiro', 'xunco-malla']);
  expect((await names('find=Costureiras')).length).toBeGreaterThanOrEqual(4);
  expect(await names('find=bota')).toEqual(['bota-balsa']);
  expect(await names('find=%25')).toEqual([]);
  await (await ana()).get('/api/catalogue/models?region=ear').expect(400);
});

test('a used version is never changed: a change is the next version, and no other', async () => {
  const agent = await ana();
  const changed = { ...model, version: model.version + 1, name: 'Xunco Lixeiro Novo' };
  await agent.post('/api/catalogue/models').send(model).expect(409);
  await agent
    .post('/api/catalogue/models')
    .send({ ...changed, version: model.version + 2 })
    .expect(409);
  await agent.post('/api/catalogue/models').send(changed).expect(201);
  const { body } = await agent.get('/api/catalogue/models?find=xunco-lixeiro');
  expect(body.models).toMatchObject([{ version: model.version + 1, name: 'Xunco Lixeiro Novo' }]);
  const { versions } = (await agent.get('/api/catalogue/models/xunco-lixeiro/versions').expect(200)).body;
  expect(versions.map(({ version }: { version: number }) => version)).toEqual([
    model.version + 1,
    model.version,
  ]);
  const old = await agent.get(`/api/catalogue/model/${versions[1].hash}`).expect(200);
  expect(old.body.name).toBe('Xunco Lixeiro');
  await agent.get('/api/catalogue/models/none/versions').expect(404);
});

test('two who change a model at once: one is taken, the other told', async () => {
  const agent = await ana();
  const next = (name: string) =>
    agent.post('/api/catalogue/models').send({ ...model, version: model.version + 2, name });
  const answers = await Promise.all([next('One'), next('Other')]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
});

test('a model that leaves out what its family needs is refused with the place', async () => {
  const frame = demoModels.find(({ id }) => id === 'caneiro-4p')!;
  const { body } = await (
    await ana()
  )
    .post('/api/catalogue/models')
    .send({ ...frame, id: 'half', distances: {} })
    .expect(422);
  expect(body.faults).toContainEqual(expect.objectContaining({ at: 'girth-above', message: 'no-distance' }));
  await (
    await ana()
  )
    .post('/api/catalogue/models')
    .send({ ...frame, id: 'x', colour: 'red' })
    .expect(422);
});

test('what is retired is not offered, and can come back', async () => {
  const agent = await ana();
  const listed = async (query = '') =>
    (await agent.get(`/api/catalogue/models?find=bota${query}`)).body.models.length;
  await agent.put('/api/catalogue/models/bota-balsa/retired').send({ retired: true }).expect(200);
  expect([await listed(), await listed('&retired=1')]).toEqual([0, 1]);
  await agent.put('/api/catalogue/models/bota-balsa/retired').send({ retired: false }).expect(200);
  expect(await listed()).toBe(1);
  await agent.put('/api/catalogue/models/none/retired').send({ retired: true }).expect(404);
  await agent.put('/api/catalogue/models/bota-balsa/retired').send({ retired: 'yes' }).expect(422);
});

describe('charts as CSV', () => {
  test('what goes out comes back without a change', async () => {
    const agent = await ana();
    // tables, belts, heights and extensions among them
    const { text, type } = await agent.get('/api/catalogue/export.csv').expect(200);
    expect(type).toBe('text/csv');
    const { body } = await agent.post('/api/catalogue/import').send({ csv: text }).expect(200);
    expect(body).toEqual({ imported: [], unchanged: demoModels.length });
  });

  test('with one fault nothing is imported, and the row and column are told', async () => {
    const agent = await ana();
    const remo = demoModels.find(({ id }) => id === 'remo-coronal')!;
    const csv = chartsToCsv([remo], programmes).split('\r\n');
    csv[1] = csv[1]!.replace(/,360,/, ',355,');
    csv[3] = csv[3]!.replace(/,430,/, ',four,');
    const { body } = await agent
      .post('/api/catalogue/import')
      .send({ csv: csv.join('\r\n') })
      .expect(422);
    expect(body.rows).toEqual([{ row: 4, column: 'from', fault: 'not-a-number', detail: 'four' }]);
    const listed = await agent.get('/api/catalogue/models?find=remo');
    expect(listed.body.models[0].version).toBe(remo.version);
    csv[3] = csv[3]!.replace(/,four,/, ',431,');
    await agent
      .post('/api/catalogue/import')
      .send({ csv: csv.join('\r\n') })
      .expect(200);
    expect((await agent.get('/api/catalogue/models?find=remo')).body.models[0].version).toBe(
      remo.version + 1,
    );
  });

  test('what a file would change is told before it is brought in, and nothing is', async () => {
    const agent = await ana();
    const model = demoModels.find(({ id }) => id === 'barca-telescopio')!;
    const csv = chartsToCsv([{ ...model, maker: 'Ferraxes do Peirao' }], programmes);
    const { body } = await agent.post('/api/catalogue/import').send({ csv, preview: true }).expect(200);
    expect(body).toMatchObject({
      unchanged: 0,
      changed: [
        {
          id: model.id,
          name: model.name,
          changes: [{ states: 'maker', before: model.maker, now: 'Ferraxes do Peirao' }],
        },
      ],
    });
    const [listed] = (await agent.get('/api/catalogue/models?find=barca')).body.models;
    expect(listed).toMatchObject({ version: model.version, maker: model.maker });
  });

  test('a half chart does not replace a whole one unasked', async () => {
    const agent = await ana();
    const model = demoModels.find(({ id }) => id === 'ribeira-faixa')!;
    const half = chartsToCsv([model], programmes)
      .split('\r\n')
      .filter((line) => !line.includes(',belt,'))
      .join('\r\n');
    const { body } = await agent.post('/api/catalogue/import').send({ csv: half }).expect(409);
    expect(body.changed[0].changes).toHaveLength(5);
    expect(body.changed[0].changes[0]).not.toHaveProperty('now');
    const version = async () =>
      (await agent.get('/api/catalogue/models?find=ribeira')).body.models[0].version as number;
    expect(await version()).toBe(model.version);
    await agent
      .post('/api/catalogue/import')
      .send({ csv: half, mayLose: [model.id] })
      .expect(200);
    expect(await version()).toBe(model.version + 1);
  });

  test('a band that no body has is refused by the chart editor’s door as well', async () => {
    const agent = await ana();
    const model = demoModels.find(({ id }) => id === 'xunco-lixeiro')!;
    const [above, ...axes] = model.chart.axes;
    const [first, ...bands] = above!.bands;
    const sent = {
      ...model,
      version: model.version + 1,
      chart: {
        ...model.chart,
        axes: [{ ...above!, bands: [{ ...first!, from: 700, to: 90 }, ...bands] }, ...axes],
      },
    };
    const { body } = await agent.post('/api/catalogue/models').send(sent).expect(422);
    expect(body.faults).toEqual([
      expect.objectContaining({
        at: 'chart.axes[0].bands[0].to',
        message: 'lies below where the band begins',
      }),
    ]);
  });

  test('no body at all and a body too large are problems', async () => {
    const agent = await ana();
    await agent.post('/api/catalogue/import').send({}).expect(422);
    await agent
      .post('/api/catalogue/import')
      .send({ csv: 'x'.repeat(2_200_000) })
      .expect(413);
    await (await clinic.as('technician')).post('/api/catalogue/import').send({ csv: '' }).expect(403);
  });
});

describe('a clinic’s own programme', () => {
  const base = programmes.find(({ id }) => id === 'knee-sleeve')!;
  const own: Programme = {
    ...base,
    id: 'own-sleeve',
    version: 1,
    title: 'our sleeve',
    base: 'knee-sleeve',
    between: 'larger',
    measuring: base.measuring.map((step) =>
      step.id === 'girth-above' ? ({ ...step, distance: 150, tolerance: 4 } as typeof step) : step,
    ),
  };

  test('is validated as those that ship are, and versioned', async () => {
    const agent = await ana();
    await agent
      .post('/api/catalogue/programmes')
      .send({ ...own, title: undefined })
      .expect(422);
    await agent
      .post('/api/catalogue/programmes')
      .send({ ...own, id: 'knee-sleeve' })
      .expect(422);
    await agent
      .post('/api/catalogue/programmes')
      .send({ ...own, region: 'trunk' })
      .expect(422);
    await agent
      .post('/api/catalogue/programmes')
      .send({ ...own, measuring: [{ kind: 'weigh' }] })
      .expect(422);
    await agent.post('/api/catalogue/programmes').send(own).expect(201);
    await agent.post('/api/catalogue/programmes').send(own).expect(409);
    const { body } = await agent.get('/api/catalogue');
    expect(body.families.find(({ id }: { id: string }) => id === 'own-sleeve')).toMatchObject({
      title: 'our sleeve',
      base: 'knee-sleeve',
      region: 'leg',
    });
  });

  test.each<[string, (base: Programme) => Partial<Programme>, RegExp]>([
    ['doubled ids', ({ checks }) => ({ checks: [...checks, checks[0]!] }), /^checks\[\d+\]\.id$/],
    ['no measuring', () => ({ measuring: [], axes: [] }), /^measuring$/],
    ['an axis that nobody measures', ({ axes }) => ({ axes: [...axes, 'girth-nowhere'] }), /^axes\[\d+\]$/],
    [
      'an id such as constructor',
      ({ checks }) => ({ checks: [{ ...checks[0]!, id: 'constructor' }, ...checks.slice(1)] }),
      /^checks\[0\]\.id$/,
    ],
    ['a title that shows nothing', () => ({ title: '\u200b\u2060\u00ad' }), /^title$/],
    [
      'checks that wait for each other',
      ({ checks: [first, second, ...rest] }) => ({
        checks: [
          { ...first!, when: { kind: 'passed', check: second!.id } },
          { ...second!, when: { kind: 'passed', check: first!.id } },
          ...rest,
        ] as Programme['checks'],
      }),
      /^checks$/,
    ],
  ])('with %s is refused, and says where', async (_, change, at) => {
    const agent = await ana();
    const { status, body } = await agent
      .post('/api/catalogue/programmes')
      .send({ ...own, id: 'own-refused', ...change(base) });
    expect([
      status,
      body.faults.map((fault: { at: string }) => fault.at).some((one: string) => at.test(one)),
    ]).toEqual([422, true]);
  });

  test('opens a case with a model of the family it came from, and measures by its own distance', async () => {
    const agent = await ana();
    const { body } = await agent.get('/api/catalogue');
    const programme = body.families.find(({ id }: { id: string }) => id === 'own-sleeve');
    const found = await agent.get('/api/catalogue/models?find=xunco-malla');
    const { id, version, hash } = found.body.models[0];
    const caseId = v7();
    const opened = {
      ...clinic.opened(caseId),
      body: {
        person: clinic.person,
        side: 'left',
        programme: { id: programme.id, version: programme.version, hash: programme.hash },
        model: { id, version, hash },
      },
    };
    await agent.post(`/api/cases/${caseId}/entries`).send(opened).expect(201);
    const content = await agent.get(`/api/catalogue/programme/${programme.hash}`).expect(200);
    expect(content.body.measuring.find((step: { id: string }) => step.id === 'girth-above')).toMatchObject({
      distance: 150,
      tolerance: 4,
    });
  });

  test('does not take a model of another family', async () => {
    const agent = await ana();
    const { body } = await agent.get('/api/catalogue');
    const programme = body.families.find(({ id }: { id: string }) => id === 'own-sleeve');
    const caseId = v7();
    await agent
      .post(`/api/cases/${caseId}/entries`)
      .send({
        ...clinic.opened(caseId),
        body: {
          person: clinic.person,
          side: 'left',
          programme: { id: programme.id, version: programme.version, hash: programme.hash },
          model: clinic.model,
        },
      })
      .expect(422);
  });
});
