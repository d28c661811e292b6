import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { BadgeId, Meaning, StationDirectory } from '@wergon/core/station';
import type { WorkOrderId } from '@wergon/core/work';
import { readBoard } from '../floor/index.ts';
import type { DirectoryJson } from './station.ts';

function readMeaning({
  kind,
  id,
  technician,
  workType,
  action,
  isOld = false,
}: DirectoryJson['codes'][number]): Meaning {
  switch (kind) {
    case 'badge':
      return { kind, badge: id as BadgeId, technician: technician as TechnicianId };
    case 'target':
      return { kind, target: id as TargetId };
    case 'order':
      return { kind, order: id as WorkOrderId };
    case 'traveler':
      return { kind, target: id as TargetId, isOld, ...(workType ? { workType } : {}) };
    case 'person-act':
      return {
        kind,
        badge: id as BadgeId,
        technician: technician as TechnicianId,
        action: action ?? 'shift-out',
      };
  }
}

/** Reads the directory that the server sent to a station. */
export const readDirectory = (json: DirectoryJson): StationDirectory => ({
  ...readBoard(json),
  codes: new Map(json.codes.map((each) => [each.code, readMeaning(each)])),
  remembered: [],
});
