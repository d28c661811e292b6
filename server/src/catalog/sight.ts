import { sees } from '../access/index.ts';
import type { DeskUser, Sees, Who } from '../http/index.ts';
import type { ShopFacts } from './shopFacts.ts';

const narrowed = new WeakMap<ShopFacts, Map<string, ShopFacts>>();

/** The facts with no people in them but those that a user is told of; the same ones for the same sight, so that what is
 *  kept beside facts is kept. Whatever lists people goes by these; what an order comes to goes by all. */
export function factsSeenBy(facts: ShopFacts, user: DeskUser): ShopFacts {
  if (!user.seesOnlyTheirs) return facts;
  const { technician, departments, crews, isCrewOnly } = user;
  const sight = JSON.stringify([technician ?? null, departments ?? null, crews ?? null, isCrewOnly]);
  const own = narrowed.get(facts) ?? new Map<string, ShopFacts>();
  narrowed.set(facts, own);
  const known = own.get(sight);
  if (known) return known;
  const technicians = new Map([...facts.technicians].filter(([id]) => sees(user, facts, id)));
  const hidden = new Set([...facts.technicians.keys()].filter((id) => !technicians.has(id)));
  const seen = { ...facts, technicians, hidden };
  own.set(sight, seen);
  return seen;
}

const everybody: Sees = () => true;

/** Of whom somebody is told, by the facts as they are now. */
export async function sightOf(
  facts: { readonly seenBy: (user: DeskUser) => Promise<ShopFacts> },
  who: Who,
): Promise<Sees> {
  if (who.kind !== 'desk' || !who.user.seesOnlyTheirs) return everybody;
  const { technicians } = await facts.seenBy(who.user);
  return (id) => technicians.has(id);
}
