import { keysOf } from '@wergon/core/result';
import { sampleId, targetId, technicianId } from './ids.ts';
import { hash } from '@node-rs/argon2';
import type { EntityManager } from '@mikro-orm/libsql';
import { technicianSchema } from '@wergon/contract/people';
import { DEFAULT_POLICY } from '@wergon/core/ledger';
import { parseRate } from '@wergon/core/money';
import type { ShiftPlan, TechnicianId } from '@wergon/core/people';
import { dated, formatDay, parseDay, addDays, toInstant, toSeconds } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import { RIGHTS_OF_ROLE } from '@wergon/contract/access';
import { RoleEntity, addUser } from '@wergon/server/access';
import type { NewUser } from '@wergon/server/access';
import {
  BadgeEntity,
  CostRateEntity,
  GradeEntity,
  PatternEntity,
  PayGroupEntity,
  TechnicianEntity,
  addTechnician,
} from '@wergon/server/people';
import {
  ActivityEntity,
  CapacityEntity,
  ClockEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  ResourceEntity,
  ShopEntity,
  UnitEntity,
} from '@wergon/server/shop';
import { COST_CODES, CLOSED_DAYS, CREWS, DIVISIONS, JOB_TYPES, REASONS, makeUnits } from './sampleLists.ts';
import { ACTIVITIES, CUSTOMERS, DEPARTMENTS, GRADES, PEOPLE, SHOP } from './sampleShop.ts';
import type { Department, GradeId } from './sampleShop.ts';
import { NIGHT_GROUP, addOvertime } from './addOvertime.ts';
import { addAbsences } from './addAbsences.ts';
import { addPayroll } from './addPayroll.ts';
import { enterStations } from './enterStations.ts';
import type { Draw } from './draw.ts';
import type { Size } from './size.ts';
import { unwrap } from './unwrap.ts';

const technicianOf = (name: string) =>
  technicianId(`t${PEOPLE.findIndex((person) => person.name === name) + 1}`);

/** Who can sign in at the desk of the demo. Sample data: these are no secrets. */
export const DEMO_USERS: readonly NewUser[] = [
  {
    name: 'Solveig Aune',
    userName: 'solveig',
    password: 'odden-rewind',
    roles: ['administrator'],
    seesRates: true,
  },
  {
    name: 'Mikko Rask',
    userName: 'mikko',
    password: 'odden-rewind',
    roles: ['supervisor'],
    seesRates: false,
  },
  { name: 'Paula Virta', userName: 'paula', password: 'odden-rewind', roles: ['planner'], seesRates: false },
  {
    name: 'Berit Holm',
    userName: 'berit',
    password: 'odden-rewind',
    roles: ['bookkeeper'],
    seesRates: false,
  },
  {
    name: 'Ingrid Solberg',
    userName: 'ingrid',
    password: 'odden-rewind',
    roles: ['department-lead'],
    seesRates: false,
    technician: technicianOf('Ingrid Solberg'),
    departments: [`department-${DEPARTMENTS.indexOf('Winding') + 1}`],
    seesOnlyTheirs: true,
  },
  {
    name: 'Oskar Brandt',
    userName: 'oskar',
    password: 'odden-rewind',
    roles: ['own'],
    seesRates: false,
    technician: technicianOf('Oskar Brandt'),
  },
];

/** A role of the shop's own: a lead who also sees people's plans. */
const DEMO_ROLES = [
  {
    id: 'department-lead',
    name: 'department lead',
    rights: [...RIGHTS_OF_ROLE.lead, 'people.see' as const],
    reach: 'crew' as const,
  },
];

const GRADE_OF: Readonly<Record<Department, GradeId>> = {
  Winding: 'winder',
  'Stripping and burn-out': 'helper',
  'Varnish and bake': 'helper',
  'Balancing and machining': 'machinist',
  Assembly: 'fitter',
  Test: 'tester',
};

type Days = {
  readonly firstDay: LocalDay;
  readonly opensAt: Instant;
  readonly today: LocalDay;
  readonly rulesFrom: Instant;
};

/** Everything but orders: the shop, its lists, its people with badges, rates, plans and absences. */
export async function setUpShop(
  em: EntityManager,
  size: Size,
  { firstDay, opensAt, today, rulesFrom }: Days,
  draw: Draw,
) {
  await em.insert(ShopEntity, {
    id: 1,
    ...SHOP,
    policy: [
      ...dated(DEFAULT_POLICY),
      // Some weeks ago the shop chose to hear a little later of estimates that run low.
      { from: rulesFrom, value: { ...DEFAULT_POLICY, warnAt: 85 }, by: 'Solveig Aune', at: rulesFrom },
    ],
    settings: {
      orderNumbers: { prefix: '', digits: 5, first: 24_001 },
      labels: { symbology: 'code128', paper: 'a4' },
      work: {
        isAssignedOnly: true,
        ownPhones: true,
        offers: true,
        writesDown: 'leads',
        includesTravel: false,
        unusedFields: [],
        asksWhy: ['down', 'rework', 'scrap'],
      },
      pay: {
        period: 'two-weekly',
        anchor: '2026-01-05',
        approval: 'person-day',
        isConfirmed: true,
        basis: 'labor',
        timeFrom: 'here',
      },
    },
  });
  await em.insert(ClockEntity, { id: 1, stoppedAt: opensAt });
  for (const role of DEMO_ROLES) await em.insert(RoleEntity, role);
  for (const user of DEMO_USERS) await addUser(em, user);
  for (const { id, name, standardRate } of GRADES)
    await em.insert(GradeEntity, { id, name, standardRate: unwrap(parseRate(standardRate)) });
  await addLists(em, size, firstDay, draw);
  await addOvertime(em, firstDay);
  await addPayroll(em);
  await enterStations(em, firstDay, opensAt);
  return addPeople(em, size, firstDay, today, draw);
}

async function addLists(
  em: EntityManager,
  { people, machines }: Size,
  firstDay: LocalDay,
  draw: Draw,
): Promise<void> {
  for (const { id, title, description, counts, isPaid, division, ...more } of ACTIVITIES)
    await em.insert(ActivityEntity, {
      id: targetId(id),
      title,
      description,
      counts: dated(counts),
      code: draw('activity'),
      isPaid,
      division,
      takesWork: 'takesWork' in more ? more.takesWork : null,
      isOff: false,
    });
  const lists = {
    department: DEPARTMENTS,
    crew: CREWS,
    division: DIVISIONS,
    'job-type': JOB_TYPES,
    'cost-code': COST_CODES,
    ...REASONS,
  };
  for (const list of keysOf(lists))
    for (const [i, name] of lists[list].entries())
      await em.insert(ListItemEntity, {
        id: `${list}-${i + 1}`,
        list,
        name,
        isOff: false,
      });
  for (const [i, name] of DEPARTMENTS.entries())
    await em.insert(ResourceEntity, {
      id: sampleId(`wc${i + 1}`),
      kind: 'work-center',
      name,
      workCenter: '',
      asksMachine: name === 'Balancing and machining',
      code: draw('resource'),
      isOff: false,
    });
  for (const [i, machine] of machines.entries())
    await em.insert(ResourceEntity, {
      id: sampleId(`m${i + 1}`),
      kind: 'machine',
      ...machine,
      code: draw('resource'),
      isOff: false,
    });
  const week = (hours: number) =>
    [hours, hours, hours, hours, hours, 0, 0].map((count) => toSeconds(count * 3600));
  for (const [i, { name }] of machines.entries())
    await em.insert(CapacityEntity, {
      resource: sampleId(`m${i + 1}`),
      fromDay: firstDay,
      // Ovens go on when people have left.
      seconds: week(name.includes('oven') ? 16 : 8),
    });
  for (const [i, name] of DEPARTMENTS.entries())
    await em.insert(CapacityEntity, {
      resource: sampleId(`wc${i + 1}`),
      fromDay: firstDay,
      seconds: week(7.5 * people.filter(({ department }) => department === name).length),
    });
  for (const [i, name] of CUSTOMERS.entries())
    await em.insert(CustomerEntity, {
      id: `c${i + 1}`,
      name,
      note: name === 'Port of Vik' ? 'Delivers on Fridays only' : '',
      charge:
        name === 'Stock'
          ? { isBillable: false, per: 'hour', amount: '0' }
          : i % 3 === 0
            ? { isBillable: true, per: 'hour', amount: '68' }
            : null,
      isOff: false,
    });
  for (const unit of makeUnits(CUSTOMERS)) await em.insert(UnitEntity, unit);
  for (const { day, name, isPaid } of CLOSED_DAYS)
    await em.insert(ClosedDayEntity, { day: unwrap(parseDay(day)), name, isPaid });
}

/** Who signs a crew on and off. */
const LEADS = ['Aino Saari', 'Sanna Koivu', 'Ingrid Solberg'];

const DAY_SHIFT: ShiftPlan = { startMinute: 420, endMinute: 930, breakMinutes: 30 };
const LONG_BREAK: ShiftPlan = { startMinute: 420, endMinute: 945, breakMinutes: 45 };
const NIGHT: ShiftPlan = { startMinute: 1320, endMinute: 360, breakMinutes: 30 };
const weekOf = (plan: ShiftPlan) => Array.from({ length: 7 }, (_day, i) => (i < 5 ? plan : null));

async function addPeople(em: EntityManager, size: Size, firstDay: LocalDay, today: LocalDay, draw: Draw) {
  const people = [];
  for (const [i, person] of size.people.entries()) {
    const isUsual = i < PEOPLE.length;
    const technician = technicianId(isUsual ? `t${i + 1}` : `x${i + 1}`);
    const fields = technicianSchema.parse({
      number: String(isUsual ? 101 + i : 1000 + i),
      name: person.name,
      department: person.department,
      crew: person.isNight ? 'Night crew' : person.department === 'Assembly' ? 'Site crew' : '',
      grade: GRADE_OF[person.department],
      kind: person.name === 'Goran Petrov' ? 'subcontractor' : 'own',
      payrollNumber: `P${4000 + i * 7}`,
      initials: person.name
        .split(' ')
        .map((word) => word[0])
        .join(''),
      hiredOn: formatDay(addDays(firstDay, -400 - i * 53)),
      billedHours: '6.5',
      isLead: LEADS.includes(person.name),
    });
    await addTechnician(em, fields, draw('badge'), technician);
    await addRates(em, technician, person.base, firstDay, i, fields.grade ?? '');
    const weeks = person.isNight
      ? [weekOf(NIGHT)]
      : person.department === 'Winding'
        ? [weekOf(DAY_SHIFT), weekOf(LONG_BREAK)]
        : [weekOf(DAY_SHIFT)];
    if (person.isNight)
      await em.insert(PayGroupEntity, {
        ...{ technician, fromDay: addDays(firstDay, -30), payGroup: NIGHT_GROUP },
      });
    await em.insert(PatternEntity, { technician, fromDay: addDays(firstDay, -30), weeks });
    people.push({ technician, person });
  }
  await em.nativeUpdate(TechnicianEntity, { id: technicianId('t1') }, { pinHash: await hash('2026') });
  await em.insert(BadgeEntity, {
    id: sampleId('fob-1'),
    technician: technicianId('t4'),
    code: '04A3B21F77',
    revokedAt: null,
    isBound: true,
  });
  await em.insert(BadgeEntity, {
    id: sampleId('lost-1'),
    technician: technicianId('t9'),
    code: draw('badge'),
    revokedAt: toInstant(today * 86_400 - 400_000),
    isBound: false,
  });
  await addAbsences(em, today, size.people.length === PEOPLE.length);
  // Somebody who begins next week: no rate and no plan yet, so the checklist has something to say.
  const fresh = technicianSchema.parse({
    number: '127',
    name: 'Wilma Aho',
    department: 'Winding',
    grade: 'winder',
    hiredOn: formatDay(addDays(today, 6)),
  });
  await addTechnician(em, fresh, draw('badge'), technicianId('t27'));
  // Somebody who left before the sample weeks: they stay in the list, and are on no floor.
  const left = technicianSchema.parse({
    number: '99',
    name: 'Wendel Kopp',
    department: 'Assembly',
    grade: 'fitter',
    hiredOn: '2019-02-01',
    leftOn: formatDay(addDays(firstDay, -20)),
  });
  await addTechnician(em, left, draw('badge'), technicianId('t99'));
  // A subcontractor who helps out for an hour; nobody has entered what that costs.
  const guest = technicianSchema.parse({
    number: '131',
    name: 'Runa Holm',
    department: 'Assembly',
    kind: 'subcontractor',
    initials: 'RH',
  });
  await addTechnician(em, guest, draw('badge'), technicianId('t28'));
  return people;
}

async function addRates(
  em: EntityManager,
  technician: TechnicianId,
  base: string,
  firstDay: LocalDay,
  i: number,
  grade: string,
): Promise<void> {
  const burden = [
    { name: 'Pension and insurance', kind: 'percent', value: '24.5', onPremium: true },
    { name: 'Tools and clothing', kind: 'perHour', value: '2.15' },
  ];
  const isSalary = i === 14;
  const record = isSalary
    ? {
        from: '2026-01-01',
        per: 'year',
        base: '49200',
        hoursPerYear: '1720',
        grade,
        burden: [...burden, { name: 'Company car', kind: 'perYear', value: '3100' }],
      }
    : { from: '2026-01-01', per: 'hour', base, burden, grade };
  await em.insert(CostRateEntity, {
    technician,
    fromDay: unwrap(parseDay('2026-01-01')),
    record: JSON.stringify(record),
  });
  // A raise in the middle of the sample weeks for some.
  if (i % 5 === 2 && !isSalary) {
    const from = addDays(firstDay, 28);
    const raised = { ...record, from: formatDay(from), base: (Number(base) + 0.6).toFixed(2) };
    await em.insert(CostRateEntity, { technician, fromDay: from, record: JSON.stringify(raised) });
  }
}
