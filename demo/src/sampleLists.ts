import type { Department } from './sampleShop.ts';

/** What the sample shop keeps beside its people and jobs. All of it is invented. */
export const DIVISIONS = ['Motors', 'Pumps and fans'] as const;
export const JOB_TYPES = ['Rewind', 'Overhaul', 'Repair', 'For stock'] as const;
export const COST_CODES = ['4100 winding', '4200 mechanical', '4300 test'] as const;
export const CREWS = ['Night crew', 'Site crew'] as const;

export const REASONS = {
  'down-reason': ['Oven stopped', 'No material', 'Crane in use', 'Tool broken'],
  'rework-reason': ['Drawing wrong', 'Insulation damaged', 'Out of balance', 'Customer changed their mind'],
  'scrap-reason': ['Material fault', 'Out of size', 'Damaged'],
} as const;

export const MACHINES: readonly { readonly name: string; readonly workCenter: Department }[] = [
  { name: 'Coil former A', workCenter: 'Winding' },
  { name: 'Coil former B', workCenter: 'Winding' },
  { name: 'Burn-out oven', workCenter: 'Stripping and burn-out' },
  { name: 'Dip tank', workCenter: 'Varnish and bake' },
  { name: 'Bake oven', workCenter: 'Varnish and bake' },
  { name: 'Balancing stand', workCenter: 'Balancing and machining' },
  { name: 'Long lathe', workCenter: 'Balancing and machining' },
  { name: 'Test field', workCenter: 'Test' },
];

export const CLOSED_DAYS = [
  { day: '2026-10-31', name: 'Stocktaking', isPaid: false },
  { day: '2026-12-06', name: 'Independence day', isPaid: true },
  { day: '2026-12-24', name: 'Christmas eve', isPaid: true },
  { day: '2026-12-25', name: 'Christmas', isPaid: true },
] as const;

/** Hours of instructions, in the order of them, where the shop has written them down. */
export const INSTRUCTION_HOURS: Readonly<Record<string, readonly string[]>> = {
  'Incoming test': ['0.25', '0.25', '0.25'],
  Strip: ['1', '0.5'],
};

/** What orders need, by the words of their titles, for each piece. */
export const PARTS: readonly { readonly of: RegExp; readonly name: string; readonly each: number }[] = [
  { of: /pump|fan|saw|mixer/i, name: 'Bearing 6311', each: 2 },
  { of: /rewind|stator/i, name: 'Slot paper 0.3 mm, sheet', each: 4 },
  { of: /rewind/i, name: 'Terminal block', each: 1 },
  { of: /pump set/i, name: 'Shaft seal 40 mm', each: 1 },
];

/** What there is to say of a step as a whole, by its title. */
export const DESCRIPTIONS: Readonly<Record<string, string>> = {
  Strip: 'Everything that is cut stays with the motor until its winding data are written down.',
  Winding:
    'Wind as found unless the office says otherwise; a change of wire goes on the traveler with a reason.',
  'Bake, load and check':
    'The oven runs by itself: load it, come back to look, and start something else meanwhile.',
};

/** Instructions by the title of a step. */
export const INSTRUCTIONS: Readonly<Record<string, readonly string[]>> = {
  'Incoming test': [
    'Photograph the nameplate and all leads',
    'Insulation resistance of each phase against the frame',
    'Note missing parts on the traveler',
  ],
  Strip: [
    'Cut the coil heads on the connection side',
    'Count and note turns and wire size',
    'Keep one coil of each group',
  ],
  'Burn-out, load and check': [
    'Hang a thermocouple on the core',
    'Never above 370 degrees',
    'Let it cool in the oven',
  ],
  'Core test and clean': ['Loop test at rated flux', 'Mark hot spots with chalk'],
  'Coil making': ['Set the former by the drawing', 'Two spare coils for each group'],
  Winding: ['Line every slot', 'Phase paper between groups', 'Tie the heads every second coil'],
  'Varnish dip': ['Preheat to 120 degrees', 'Leave it in until the bubbles stop'],
  'Bake, load and check': ['Eight hours at 150 degrees', 'Insulation test when cold'],
  'Balance rotor': ['Grade G2.5', 'Write the rest unbalance on the sheet'],
  'Final test': ['No-load current of each phase', 'Vibration at both bearings', 'Run for one hour'],
};

/** Measured values asked for at the end of a step. */
export const MEASURED: Readonly<
  Record<
    string,
    { readonly label: string; readonly unit: string; readonly least: number; readonly most: number }
  >
> = {
  'Incoming test': { label: 'Insulation', unit: 'MΩ', least: 0, most: 20_000 },
  'Core test and clean': { label: 'Core loss', unit: 'W/kg', least: 0, most: 6 },
  'Balance rotor': { label: 'Rest unbalance', unit: 'g mm', least: 0, most: 400 },
  'Final test': { label: 'Vibration', unit: 'mm/s', least: 0, most: 2.8 },
};

/** Steps that a customer may decline. */
export const OPTIONAL: readonly string[] = ['Paint and label'];

const MAKERS = ['Norvik', 'Halden & Sons', 'Elmot', 'Tarn'] as const;
const TYPES = ['Pump motor 90 kW', 'Saw drive 160 kW', 'Axial fan', 'Mixer drive', 'Pump set'] as const;

/** The customers' machines, a few for each. */
export const makeUnits = (customers: readonly string[]) =>
  customers
    .filter((name) => name !== 'Stock')
    .flatMap((owner, i) =>
      TYPES.map((type, j) => ({
        id: `u${i * TYPES.length + j + 1}`,
        type,
        maker: MAKERS[(i + j) % MAKERS.length] ?? '',
        serialNumber: `${String.fromCharCode(65 + i)}${4170 + i * 37 + j * 11}`,
        nameplate: `400 V, 50 Hz, ${[1480, 2960, 980, 740, 1470][j] ?? 1480} rpm, IP55`,
        owner,
      })),
    );
