import { DEFAULT_STATION_SETTINGS } from '@wergon/core/station';
import type { StationSettings } from '@wergon/core/station';
import type { ShopFacts } from '../catalog/index.ts';

/** What a station was set to, on top of what holds by itself. */
export const settingsOf = (settings: Partial<StationSettings> | null | undefined): StationSettings => ({
  ...DEFAULT_STATION_SETTINGS,
  ...settings,
});

/** The same with the names by which its page knows departments, crews and work centers. */
export const namedSettings = (settings: StationSettings, { groups }: ShopFacts): StationSettings => {
  const names = (ids: readonly string[]) => ids.flatMap((id) => groups.get(id) ?? []);
  return {
    ...settings,
    people: names(settings.people),
    workCenters: names(settings.workCenters),
    divisions: names(settings.divisions),
  };
};
