import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Code } from '@wergon/core/scan';
import type { BadgeId, Meaning, StationDirectory } from '@wergon/core/station';
import type { WorkOrderId } from '@wergon/core/work';
import { readBoard } from '../floor/index.ts';
import type { DirectoryJson } from './station.ts';

function readMeaning({ kind, id, technician }: DirectoryJson['codes'][number]): Meaning {
  switch (kind) {
    case 'badge':
      return { kind, badge: id as BadgeId, technician: technician as TechnicianId };
    case 'target':
      return { kind, target: id as TargetId };
    case 'order':
      return { kind, order: id as WorkOrderId };
  }
}

/** Reads the directory that the server sent to a station. */
export const readDirectory = (json: DirectoryJson): StationDirectory => ({
  ...readBoard(json),
  codes: new Map(json.codes.map((each) => [each.code as Code, readMeaning(each)])),
  remembered: [],
});
