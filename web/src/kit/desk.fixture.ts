import { createPinia, setActivePinia } from 'pinia';
import type { Right } from '@wergon/contract/access';
import { toInstant } from '@wergon/core/time';
import { useDesk } from './useDesk.ts';

/** Somebody at the desk of a shop in Oslo, who may do so much. */
export function signIn(...rights: Right[]) {
  setActivePinia(createPinia());
  const desk = useDesk();
  desk.session = {
    name: 'Sol',
    roles: [{ id: 'supervisor', name: null }],
    isTechnician: false,
    rights,
    mustChangePassword: false,
    signOutMinutes: null,
    shopName: 'Test shop',
    zone: 'Europe/Oslo',
    currency: 'EUR',
    isDemo: false,
    makesOffers: false,
    unusedFields: [],
    hoursStyle: 'h:mm',
    now: toInstant(1_772_431_200),
  };
  return desk;
}
