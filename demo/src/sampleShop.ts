/** The invented shop of the demo: Odden Rewind Works. Every name and number is made up. */
export const SHOP = { name: 'Odden Rewind Works', zone: 'Europe/Helsinki', currency: 'EUR' } as const;

export const GRADES = [
  { id: 'winder', name: 'Winder', standardRate: '36.50' },
  { id: 'fitter', name: 'Fitter', standardRate: '33.00' },
  { id: 'machinist', name: 'Machinist', standardRate: '37.00' },
  { id: 'helper', name: 'Helper', standardRate: '29.50' },
  { id: 'tester', name: 'Test technician', standardRate: '39.00' },
] as const;
export type GradeId = (typeof GRADES)[number]['id'];

export const DEPARTMENTS = [
  'Winding',
  'Stripping and burn-out',
  'Varnish and bake',
  'Balancing and machining',
  'Assembly',
  'Test',
] as const;
export type Department = (typeof DEPARTMENTS)[number];

export const STATIONS: Readonly<Record<Department, readonly string[]>> = {
  Winding: ['Winding 1', 'Winding 2'],
  'Stripping and burn-out': ['Stripping'],
  'Varnish and bake': ['Varnish'],
  'Balancing and machining': ['Balancing', 'Machining'],
  Assembly: ['Assembly'],
  Test: ['Test'],
};

/** Where people lend a hand when their own department has nothing to do. */
export const LENDS_TO: Readonly<Record<Department, readonly Department[]>> = {
  Winding: ['Varnish and bake'],
  'Stripping and burn-out': ['Varnish and bake', 'Assembly'],
  'Varnish and bake': ['Stripping and burn-out', 'Winding'],
  'Balancing and machining': ['Assembly', 'Test'],
  Assembly: ['Balancing and machining', 'Stripping and burn-out'],
  Test: ['Assembly', 'Balancing and machining'],
};

export type Person = {
  readonly name: string;
  readonly department: Department;
  readonly base: string;
  readonly isNight?: boolean;
};

const person = (name: string, department: Department, base: string, isNight = false): Person => ({
  name,
  department,
  base,
  isNight,
});

export const PEOPLE: readonly Person[] = [
  person('Ingrid Solberg', 'Winding', '27.40'),
  person('Tarik Demir', 'Winding', '25.90'),
  person('Maja Lindqvist', 'Winding', '26.60'),
  person('Oskar Brandt', 'Winding', '24.80'),
  person('Petra Novak', 'Winding', '25.20'),
  person('Aleksi Heino', 'Winding', '23.70'),
  person('Sanna Koivu', 'Winding', '26.10', true),
  person('Elias Haug', 'Stripping and burn-out', '20.80'),
  person('Rui Carvalho', 'Stripping and burn-out', '21.40'),
  person('Nora Kivi', 'Stripping and burn-out', '20.20'),
  person('Bashir Noor', 'Stripping and burn-out', '19.90'),
  person('Veikko Salo', 'Varnish and bake', '22.60'),
  person('Dalia Ferro', 'Varnish and bake', '21.90'),
  person('Henrik Lund', 'Varnish and bake', '22.10', true),
  person('Jonas Weiss', 'Balancing and machining', '27.80'),
  person('Lena Fischer', 'Balancing and machining', '28.30'),
  person('Yusuf Adan', 'Balancing and machining', '26.90'),
  person('Hanna Berg', 'Balancing and machining', '27.20'),
  person('Piotr Zielak', 'Balancing and machining', '25.60'),
  person('Aino Saari', 'Assembly', '24.30'),
  person('Mateus Rocha', 'Assembly', '23.80'),
  person('Freya Holt', 'Assembly', '24.90'),
  person('Ilmari Tuomi', 'Assembly', '22.70'),
  person('Carla Benitez', 'Assembly', '23.20', true),
  person('Goran Petrov', 'Test', '29.10'),
  person('Siiri Laakso', 'Test', '28.60'),
];

export const ACTIVITIES = [
  {
    id: 'waiting',
    title: 'Waiting for parts',
    description: 'Work stands still because something is not here',
    counts: true,
    isPaid: true,
    division: '',
    takesWork: 'down',
  },
  {
    id: 'cleaning',
    title: 'Cleaning',
    description: 'The shop, not a job',
    counts: true,
    isPaid: true,
    division: '',
  },
  {
    id: 'meeting',
    title: 'Shop meeting',
    description: 'Everybody together, Mondays',
    counts: true,
    isPaid: true,
    division: '',
  },
  {
    id: 'training',
    title: 'Training',
    description: 'Learning, or teaching somebody',
    counts: true,
    isPaid: true,
    division: '',
  },
  {
    id: 'oven-watch',
    title: 'Oven service',
    description: 'Heating up, watching, emptying',
    counts: true,
    isPaid: true,
    division: 'Motors',
  },
  {
    id: 'van',
    title: 'Loading the van',
    description: 'To a customer and back',
    counts: true,
    isPaid: true,
    division: 'Pumps and fans',
    takesWork: 'travel',
  },
  {
    id: 'medical',
    title: 'Private errand',
    description: 'Not attended, not paid',
    counts: false,
    isPaid: false,
    division: '',
  },
] as const;

export const CUSTOMERS = [
  'Tidewater Mills',
  'Fjellbruk AS',
  'Norrland Timber',
  'Aker Dairy',
  'Port of Vik',
  'Sund Fish',
  'Kallio Quarry',
  'Lakeside Paper',
  'Hovden Water',
  'Stock',
] as const;

export type Step = {
  readonly title: string;
  readonly department: Department;
  readonly grade: GradeId;
  readonly setup?: number;
  readonly run?: number;
  readonly perPiece?: number;
};

const step = (
  title: string,
  department: Department,
  grade: GradeId,
  hours: Omit<Step, 'title' | 'department' | 'grade'>,
): Step => ({
  title,
  department,
  grade,
  ...hours,
});

const TEST_IN = step('Incoming test', 'Test', 'tester', { run: 0.75 });
const STRIP = step('Strip', 'Stripping and burn-out', 'helper', { run: 2.5 });
const BURN_OUT = step('Burn-out, load and check', 'Stripping and burn-out', 'helper', {
  setup: 0.25,
  run: 1,
});
const CORE_TEST = step('Core test and clean', 'Test', 'tester', { run: 1.25 });
const VARNISH = step('Varnish dip', 'Varnish and bake', 'helper', { run: 1.5 });
const BAKE = step('Bake, load and check', 'Varnish and bake', 'helper', { run: 1 });
const FINAL_TEST = step('Final test', 'Test', 'tester', { setup: 0.25, run: 1.5 });

/** What the shop sells, as it estimates it. */
export const JOBS: readonly {
  readonly title: string;
  readonly most: number;
  readonly steps: readonly Step[];
}[] = [
  {
    title: 'Rewind 90 kW pump motor',
    most: 1,
    steps: [
      TEST_IN,
      STRIP,
      BURN_OUT,
      CORE_TEST,
      step('Coil making', 'Winding', 'winder', { setup: 0.5, run: 4 }),
      step('Winding', 'Winding', 'winder', { setup: 0.5, run: 11 }),
      VARNISH,
      BAKE,
      FINAL_TEST,
    ],
  },
  {
    title: 'Rewind 160 kW saw drive',
    most: 1,
    steps: [
      TEST_IN,
      STRIP,
      BURN_OUT,
      step('Coil making', 'Winding', 'winder', { setup: 0.75, run: 6 }),
      step('Winding', 'Winding', 'winder', { setup: 0.5, run: 18 }),
      VARNISH,
      BAKE,
      step('Balance rotor', 'Balancing and machining', 'machinist', { setup: 0.5, run: 2 }),
      FINAL_TEST,
    ],
  },
  {
    title: 'Stator set D-132',
    most: 6,
    steps: [
      step('Core test and clean', 'Test', 'tester', { perPiece: 0.4 }),
      step('Coil making', 'Winding', 'winder', { setup: 0.5, perPiece: 1.1 }),
      step('Winding', 'Winding', 'winder', { setup: 0.25, perPiece: 2.6 }),
      step('Varnish dip', 'Varnish and bake', 'helper', { setup: 0.25, perPiece: 0.3 }),
      step('Bake, load and check', 'Varnish and bake', 'helper', { run: 1 }),
      step('Final test', 'Test', 'tester', { perPiece: 0.35 }),
    ],
  },
  {
    title: 'Balance and bearings, fan',
    most: 2,
    steps: [
      TEST_IN,
      step('Take apart', 'Assembly', 'fitter', { run: 1.5 }),
      step('Balance rotor', 'Balancing and machining', 'machinist', { setup: 0.5, run: 2.5 }),
      step('Bearings and assembly', 'Assembly', 'fitter', { run: 3.5 }),
      FINAL_TEST,
    ],
  },
  {
    title: 'Shaft repair, mixer',
    most: 1,
    steps: [
      step('Take apart', 'Assembly', 'fitter', { run: 2 }),
      step('Weld and turn shaft', 'Balancing and machining', 'machinist', { setup: 1, run: 6 }),
      step('Bearing seat', 'Balancing and machining', 'machinist', { setup: 0.5, run: 3 }),
      step('Balance rotor', 'Balancing and machining', 'machinist', { setup: 0.5, run: 1.5 }),
      step('Bearings and assembly', 'Assembly', 'fitter', { run: 4 }),
      FINAL_TEST,
    ],
  },
  {
    title: 'Pump set overhaul',
    most: 3,
    steps: [
      TEST_IN,
      step('Take apart', 'Assembly', 'fitter', { setup: 0.25, perPiece: 2 }),
      step('Bearing seat', 'Balancing and machining', 'machinist', { setup: 0.5, perPiece: 1.5 }),
      step('Assembly', 'Assembly', 'fitter', { setup: 0.25, perPiece: 4 }),
      step('Paint and label', 'Varnish and bake', 'helper', { perPiece: 0.75 }),
      FINAL_TEST,
    ],
  },
  {
    title: 'Coil set for stock',
    most: 24,
    steps: [
      step('Coil making', 'Winding', 'winder', { setup: 0.5, perPiece: 0.45 }),
      step('Coil insulation', 'Winding', 'winder', { perPiece: 0.3 }),
      step('Varnish dip', 'Varnish and bake', 'helper', { run: 1.5 }),
      step('Bake, load and check', 'Varnish and bake', 'helper', { run: 1 }),
      step('Coil test', 'Test', 'tester', { perPiece: 0.05 }),
    ],
  },
];
