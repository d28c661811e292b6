import type { StationDirectory } from '@wergon/core/station';
import { readBoard } from '../floor/index.ts';
import type { DeepReadonly } from '../wire/index.ts';
import type { Directory } from './directory.ts';

/** Puts the directory that the server sent to a station in the form in which core reads it, each thing under its id. */
export function readDirectory(directory: DeepReadonly<Directory>): StationDirectory {
  return {
    ...readBoard(directory),
    codes: new Map(directory.codes.map(({ code, ...meaning }) => [code, meaning])),
    tasks: new Map(directory.briefs.map(({ task, ...brief }) => [task, brief])),
    activities: new Map(directory.activityBriefs.map(({ activity, ...brief }) => [activity, brief])),
    jobs: new Map(directory.jobs.map(({ order, ...job }) => [order, job])),
    people: new Map(directory.people.map(({ technician, ...person }) => [technician, person])),
    resources: new Map(directory.resources.map(({ id, ...resource }) => [id, resource])),
    belongs: new Map(directory.belongs.map(({ workType, activity }) => [workType, activity])),
    reasons: new Map(directory.reasons.map(({ kind, names }) => [kind, names])),
    isAssignedOnly: directory.isAssignedOnly,
    owner: directory.owner,
    offersPhones: directory.offersPhones,
    writesDown: directory.writesDown,
    proposed: new Set(directory.proposed),
    remembered: [],
  };
}
