import type { EntryId, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { BadgeId, Meaning, ResourceId, StationDirectory } from '@wergon/core/station';
import type { WorkOrderId } from '@wergon/core/work';
import { readBoard } from '../floor/index.ts';
import { readDay, readInstant } from '../wire/index.ts';
import type { DirectoryJson } from './directory.ts';

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
    case 'resource':
      return { kind, resource: id as ResourceId };
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
  tasks: new Map(json.briefs.map(({ task, ...brief }) => [task as TargetId, brief])),
  jobs: new Map(
    json.jobs.map(({ order, quantity, due }) => [
      order as WorkOrderId,
      { quantity, due: due === null ? null : readDay(due) },
    ]),
  ),
  people: new Map(
    json.people.map(({ technician, lastAt, plannedEnd, messages, ...person }) => [
      technician as TechnicianId,
      {
        ...person,
        lastAt: lastAt === null ? null : readInstant(lastAt),
        plannedEnd: plannedEnd === null ? null : readInstant(plannedEnd),
        messages: messages.map((message) => ({ ...message, at: readInstant(message.at) })),
      },
    ]),
  ),
  resources: new Map(json.resources.map(({ id, ...resource }) => [id as ResourceId, resource])),
  belongs: new Map(json.belongs.map(({ workType, activity }) => [workType, activity as TargetId])),
  scrapReasons: json.scrapReasons,
  proposed: new Set(json.proposed as EntryId[]),
  remembered: [],
});
