import type { OrderJson } from '@wergon/contract/compare';
import { openTestShop } from '../app/testShop.fixture.ts';
import type { TestShop } from '../app/testShop.fixture.ts';

let shop: TestShop;
let grade: string;
beforeAll(async () => {
  shop = await openTestShop();
  const { grades } = (await shop.get('/api/people')).body as { grades: { id: string }[] };
  grade = grades[0]?.id ?? '';
});
afterAll(() => shop.close());

const read = async (id: string) => (await shop.get(`/api/work/${id}`)).body as OrderJson;
type Draft = Omit<ReturnType<TestShop['newOrder']>, 'tasks'> & { tasks: Record<string, unknown>[] };
let drawn = 2000;
const add = async (change: Partial<Draft> & Record<string, unknown> = {}) => {
  const body = { ...shop.newOrder(String((drawn += 1))), ...change };
  const { id } = (await shop.post('/api/work', body)).body as { id: string };
  return { id, body: body as Draft, tasks: (await read(id)).tasks };
};
const withIds = (body: Draft, tasks: readonly { id: string }[]): Draft => ({
  ...body,
  tasks: body.tasks.map((task, i) => ({ ...task, id: tasks[i]?.id ?? null })),
});
const save = (id: string, version: number, order: object) =>
  shop.post(`/api/work/${id}`, { version, ...order });
const move = (id: string, state: string, more: object = {}) =>
  shop.post(`/api/work/${id}/state`, { state, ...more });

test('an order is saved as a whole, and every change stands in its history with who made it', async () => {
  const { id, body, tasks } = await add();
  const [strip, winding] = withIds(body, tasks).tasks;
  const order = { ...body, title: 'Rewind and balance', tasks: [winding, { ...strip, runHours: '1.5' }] };
  expect((await save(id, 1, order)).status).toBe(200);
  const saved = await read(id);
  expect(saved.tasks.map(({ title, position, runHours }) => [title, position, runHours])).toEqual([
    ['Winding', 10, '1'],
    ['Strip', 20, '1.5'],
  ]);
  expect(saved.tasks.map(({ id: task }) => task)).toEqual([tasks[1]?.id, tasks[0]?.id]);
  expect(saved.order.changes[0]).toMatchObject({
    by: 'Sol',
    changes: [
      { field: 'What is done', before: 'Rewind', after: 'Rewind and balance' },
      { field: 'Tasks', before: 'Strip, Winding', after: 'Winding, Strip' },
      { field: 'Strip: run hours', before: '1', after: '1.5' },
    ],
  });
});

test('an estimate that changes keeps what was estimated first, at the rate it was estimated with', async () => {
  const { id, body, tasks } = await add();
  await shop.post(`/api/grades/${grade}`, { name: 'Winder', standardRate: '80.00' });
  const [strip, winding] = withIds(body, tasks).tasks;
  await save(id, 1, { ...body, tasks: [{ ...strip, runHours: '3' }, winding] });
  const [changed] = (await read(id)).tasks;
  expect(changed).toMatchObject({
    originalSeconds: 3600,
    originalCost: '50.00',
    comparison: { estimatedSeconds: 10_800, estimatedCost: '150.00' },
  });
  await shop.post(`/api/grades/${grade}`, { name: 'Winder', standardRate: '50.00' });
});

test('the second of two who edit the same order is told, and nothing of the first is lost', async () => {
  const { id, body, tasks } = await add();
  const order = withIds(body, tasks);
  expect((await save(id, 1, { ...order, title: 'Mine' })).status).toBe(200);
  expect((await save(id, 1, { ...order, title: 'Theirs' })).body).toMatchObject({
    type: 'urn:wergon:record.changed',
  });
  expect((await read(id)).order.title).toBe('Mine');
});

test('two who save in the same moment do not both go through', async () => {
  const { id, body, tasks } = await add();
  const order = withIds(body, tasks);
  const answers = await Promise.all(['A', 'B', 'C'].map((title) => save(id, 1, { ...order, title })));
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  expect((await read(id)).order.version).toBe(2);
});

test('a task without labor can be deleted; one with labor only closed', async () => {
  const { id, body, tasks } = await add();
  await move(id, 'released');
  const [strip, winding] = withIds(body, tasks).tasks as [Record<string, unknown>, Record<string, unknown>];
  const task = String(strip['id']);
  await shop.send(shop.scan('work-start', 95, shop.ada, [task]), shop.scan('work-stop', 99, shop.ada));
  expect((await save(id, 1, { ...body, tasks: [winding] })).body).toMatchObject({
    type: 'urn:wergon:order.task_has_labor',
    errors: [{ field: 'tasks', message: /Strip has labor/ }],
  });
  expect((await shop.post(`/api/work/${id}/tasks/${task}/finish`, { isFinished: true })).status).toBe(200);
  expect((await read(id)).tasks.map(({ isFinished }) => isFinished)).toEqual([true, false]);
  expect((await save(id, 1, { ...body, tasks: [strip] })).status).toBe(200);
  expect((await read(id)).tasks).toHaveLength(1);
});

test.each<[string, object, string]>([
  ['number', { number: '1001' }, 'another’s number'],
  ['unit', { unit: 'none' }, 'no such unit'],
  ['tasks[0].grade', { tasks: [{ title: 'x', workCenter: '', grade: 'none' }] }, 'no such grade'],
  [
    'tasks[0].runHours',
    { tasks: [{ title: 'x', workCenter: '', grade: 'g', runHours: '10000.01' }] },
    'too long',
  ],
  [
    'tasks[0].instructions[0].text',
    { tasks: [{ title: 'x', workCenter: '', grade: 'g', instructions: [{ text: '' }] }] },
    'an empty line',
  ],
  [
    'tasks[0].reports[0].most',
    {
      tasks: [
        {
          title: 'x',
          workCenter: '',
          grade: 'g',
          reports: [{ when: 'end', kind: 'value', label: 'Ω', least: 2, most: 1 }],
        },
      ],
    },
    'limits upside down',
  ],
  ['price', { price: '1.005' }, 'half a cent'],
])('%s at fault is named and the order stays as it was: %j, %s', async (field, change) => {
  const { id, body } = await add();
  const { body: answer } = await save(id, 1, { ...body, ...change });
  expect((answer as { errors: { field: string }[] }).errors.map((error) => error.field)).toContain(field);
  expect((await read(id)).order.version).toBe(1);
});

describe('states', () => {
  test('of an offer some optional tasks are accepted and others not; those are no part of the estimate', async () => {
    const { id, tasks } = await add({
      tasks: ['Strip', 'Winding', 'Paint'].map((title) => ({
        title,
        workCenter: '',
        grade,
        runHours: '1',
        isOptional: title !== 'Strip',
      })),
    });
    await move(id, 'accepted', { accepted: [tasks[2]?.id] });
    const accepted = await read(id);
    expect(accepted.tasks.map(({ isAccepted }) => isAccepted)).toEqual([true, false, true]);
    expect(accepted.order).toMatchObject({
      state: 'accepted',
      taskCount: 2,
      comparison: { estimatedSeconds: 7200 },
    });
    await move(id, 'released');
    const { tasks: onBoard } = (await shop.get('/api/station/directory', shop.station)).body as {
      tasks: { title: string; order: string }[];
    };
    expect(onBoard.filter(({ order }) => order === id).map(({ title }) => title)).toEqual(['Strip', 'Paint']);
  });

  test.each([
    ['closed', 'order.no_such_move'],
    ['released', 'order.no_tasks'],
  ])('an empty draft cannot go to %s: %s', async (state, code) => {
    const { id } = await add({ tasks: [] });
    expect((await move(id, state)).body).toMatchObject({ type: `urn:wergon:${code}` });
  });

  test('several are released together, and those that cannot be are named', async () => {
    const [good, empty] = [await add(), await add({ tasks: [] })];
    const { body } = await shop.post('/api/release', { orders: [good.id, empty.id, good.id] });
    expect(body).toEqual({
      released: [good.id],
      refused: [{ number: empty.body.number, code: 'order.no_tasks' }],
    });
  });

  test.each([
    [false, 1, 'left as they are'],
    [true, 0, 'stopped when asked for'],
  ])('who is on an order that is held: stops %s, %i on it after, %s', async (stopsPeople, left) => {
    const { id, tasks } = await add();
    await move(id, 'released');
    await shop.send(shop.scan('work-start', 99, shop.bo, [tasks[0]?.id ?? '']));
    expect((await read(id)).order.peopleOn).toEqual(['Bo']);
    await move(id, 'on-hold', { stopsPeople });
    expect((await read(id)).order.peopleOn).toHaveLength(left);
  });
});

test('a copy is a draft of the same tasks with codes of its own', async () => {
  const first = await add({ notes: 'Fragile', customer: 'Kallio Quarry' });
  const { id } = (await shop.post(`/api/work/${first.id}/duplicate`, { number: 'C1' })).body as {
    id: string;
  };
  const copy = await read(id);
  expect(copy.order).toMatchObject({
    number: 'C1',
    state: 'draft',
    notes: 'Fragile',
    customer: 'Kallio Quarry',
  });
  expect(copy.tasks.map(({ title }) => title)).toEqual(first.tasks.map(({ title }) => title));
  expect(copy.tasks.some(({ code }) => first.tasks.some((task) => task.code === code))).toBe(false);
  expect((await shop.post(`/api/work/${first.id}/duplicate`, { number: 'C1' })).status).toBe(409);
});

describe('attachments', () => {
  const attach = (bytes: Uint8Array, name = 'photo.png') =>
    shop.post(`/api/work/${shop.order}/attachments`, { name, base64: Buffer.from(bytes).toString('base64') });
  const bytesOf = (start: string, length: number) =>
    Uint8Array.from({ length: start.length + length }, (_byte, i) =>
      i < start.length ? start.charCodeAt(i) : 7,
    );
  const PNG = bytesOf('\x89PNG\r\n\x1a\n', 2_000_000);

  test('come back as they went in, and can be taken away', async () => {
    const { id } = (await attach(PNG)).body as { id: string };
    const { body } = await shop.get(`/api/work/${shop.order}/attachments/${id}`);
    expect(body).toMatchObject({ name: 'photo.png', type: 'image/png' });
    const sent = Buffer.from((body as { base64: string }).base64, 'base64');
    expect(sent.toString('hex') === Buffer.from(PNG).toString('hex')).toBe(true);
    expect((await read(shop.order)).order.attachments).toMatchObject([
      { id, size: PNG.length, addedBy: 'Sol' },
    ]);
    await shop.post(`/api/work/${shop.order}/attachments/${id}/remove`, {});
    expect((await read(shop.order)).order.attachments).toEqual([]);
  });

  test.each([
    [bytesOf('<html>', 0), 'is no PNG', 'whatever it is called'],
    [bytesOf('%PDF-', 5 * 1024 * 1024), 'larger than 5 MB', 'too large'],
  ])('%#: is refused: %s, %s', async (bytes, message) =>
    expect((await attach(bytes, 'a.pdf')).body).toMatchObject({
      errors: [{ field: 'base64', message: expect.stringContaining(message) as string }],
    }),
  );
});

describe('a traveler', () => {
  const print = async (id: string, workTypes: string[] = []) =>
    (
      (await shop.post('/api/travelers', { orders: [id], workTypes })).body as {
        travelers: { tasks: { codes: { title: string; code: string }[] }[] }[];
      }
    ).travelers[0]?.tasks.map(({ codes }) => codes.map(({ code }) => code)) ?? [];
  const meaning = async (code: string) =>
    (
      (await shop.get('/api/station/directory', shop.station)).body as {
        codes: { code: string; kind: string; isOld?: boolean; workType?: string; id: string }[];
      }
    ).codes.find((each) => each.code === code);

  test('printed twice has the same codes, and stations know them with their kind of work', async () => {
    const { id, tasks } = await add();
    const [first, second] = [await print(id, ['setup', 'run']), await print(id, ['setup', 'run'])];
    expect(second).toEqual(first);
    expect(first.map((codes) => codes.length)).toEqual([2, 2]);
    expect(await meaning(first[0]?.[1] ?? '')).toMatchObject({
      kind: 'traveler',
      target: tasks[0]?.id,
      workType: 'setup',
      isOld: false,
    });
  });

  test('printed before the order changed says so when it is scanned; a new print does not', async () => {
    const { id, body, tasks } = await add();
    const [[old = ''] = []] = await print(id);
    await save(id, 1, { ...withIds(body, tasks), notes: 'Other bearings' });
    const [[fresh = ''] = []] = await print(id);
    expect([(await meaning(old))?.isOld, (await meaning(fresh))?.isOld]).toEqual([true, false]);
  });
});

describe('standards', () => {
  const task = (title: string, runHours: string) => ({ title, workCenter: 'Bench', grade, runHours });
  const saveTask = (body: object) => shop.post('/api/standards/tasks', body);
  type Standards = {
    tasks: { id: string; title: string; version: number; runHours: string; usedBy: string[] }[];
    jobs: { id: string; version: number }[];
  };
  const standards = async () => (await shop.get('/api/standards')).body as Standards;

  test('each save that changes something is a new version, and says what changed', async () => {
    const { id } = (await saveTask({ id: null, version: null, task: task('Bake', '1') })).body as {
      id: string;
    };
    await saveTask({ id, version: 1, task: task('Bake', '1') });
    await saveTask({ id, version: 1, task: task('Bake', '1.5') });
    expect((await standards()).tasks.find((each) => each.id === id)).toMatchObject({
      version: 2,
      runHours: '1.5',
    });
    expect((await shop.get(`/api/standards/${id}/versions`)).body).toMatchObject({
      versions: [
        { version: 2, savedBy: 'Sol', changes: [{ field: 'Run hours', before: '1', after: '1.5' }] },
        { version: 1, changes: [] },
      ],
    });
    expect((await saveTask({ id, version: 1, task: task('Bake', '9') })).body).toMatchObject({
      type: 'urn:wergon:record.changed',
    });
  });

  test('a standard job needs a task, and one that exists', async () => {
    const job = (steps: object[]) =>
      shop.post('/api/standards/jobs', { id: null, version: null, job: { title: 'Rewind', steps } });
    expect((await job([])).body).toMatchObject({
      errors: [{ field: 'job.steps', message: 'a standard job needs at least one task' }],
    });
    expect((await job([{ task: 'none', isRequired: true }])).body).toMatchObject({
      errors: [{ field: 'job.steps[0].task' }],
    });
    const { id } = (await saveTask({ id: null, version: null, task: task('Dip', '1') })).body as {
      id: string;
    };
    expect((await job([{ task: id, isRequired: false }])).status).toBe(200);
    expect((await standards()).tasks.find((each) => each.id === id)?.usedBy).toEqual(['Rewind']);
  });

  test('a new task comes from a standard that there is, is on, and is meant for such an order', async () => {
    const made = async (path: string, body: object) =>
      ((await shop.post(path, { id: null, version: null, ...body })).body as { id: string }).id;
    const step = await made('/api/standards/tasks', { task: task('Balance', '1') });
    const jobFor = (title: string, scope: object) =>
      made('/api/standards/jobs', { job: { title, scope, steps: [{ task: step, isRequired: true }] } });
    const general = await jobFor('Any rotor', { kind: 'general' });
    const own = await jobFor('Rotor of Vik', { kind: 'customer', name: 'Port of Vik' });
    const order = (job: string | null, more: object = {}, from = step) => ({
      ...shop.newOrder(String((drawn += 1))),
      tasks: [{ ...task('Balance', '1'), origin: { job, jobVersion: 1, task: from, taskVersion: 1 } }],
      ...more,
    });
    const told = async (body: object) => {
      const { status, body: answer } = await shop.post('/api/work', body);
      return status === 200 ? 'made' : (answer as { errors: { field: string; message: string }[] }).errors[0];
    };
    const field = 'tasks[0].origin';
    expect(await told(order(general))).toBe('made');
    expect(await told(order(null))).toBe('made');
    expect(await told(order(own, { customer: 'port of vik' }))).toBe('made');
    expect(await told(order(own))).toEqual({
      field,
      message: 'this standard is not meant for such an order',
    });
    const single = await made('/api/standards/tasks', {
      task: { ...task('Balance a crane', '1'), scope: { kind: 'customer', name: 'Port of Vik' } },
    });
    expect(await told(order(null, { customer: 'Port of Vik' }, single))).toBe('made');
    expect(await told(order(null, {}, single))).toMatchObject({ message: /not meant for such an order/ });
    expect(await told(order('none'))).toEqual({ field, message: 'no such standard' });
    expect(await told(order(step))).toEqual({ field, message: 'no such standard' });
    expect(await told(order(general, {}, general))).toEqual({ field, message: 'no such standard' });
    const late = order(general);
    const { id } = (await shop.post('/api/work', late)).body as { id: string };
    await shop.post('/api/standards/jobs', {
      id: general,
      version: 1,
      isOff: true,
      job: { title: 'Any rotor', scope: { kind: 'general' }, steps: [{ task: step, isRequired: true }] },
    });
    expect(await told(order(general))).toEqual({ field, message: 'this standard is switched off' });
    // What came from it before goes on.
    const [kept] = (await read(id)).tasks;
    const saved = { ...late, title: 'Later', tasks: late.tasks.map((each) => ({ ...each, id: kept?.id })) };
    expect((await save(id, 1, saved)).status).toBe(200);
  });

  test('two of one name are refused', async () =>
    expect((await saveTask({ id: null, version: null, task: task('Bake', '1') })).body).toMatchObject({
      errors: [{ field: 'task.title' }],
    }));
});
