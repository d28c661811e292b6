import { mergeBoard, mergeBy } from '../floor/index.ts';
import type { Directory, DirectoryChanges } from './directory.ts';

/** A directory with what has changed of it since. */
export const mergeDirectory = (directory: Directory, changes: DirectoryChanges): Directory => ({
  ...mergeBoard(directory, changes),
  briefs: mergeBy(directory.briefs, changes.briefs, ({ task }) => task),
  people: mergeBy(directory.people, changes.people, ({ technician }) => technician),
  proposed: changes.proposed,
});
