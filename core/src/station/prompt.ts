import { stateAt } from '../floor/index.ts';
import type { Instant } from '../time/index.ts';
import type { StationState } from './conversation.ts';
import type { StationDirectory } from './directory.ts';

/** What the next scan will do; the screen always says it. Its words stand in the page's message file. */
export type Prompt =
  | 'badge-or-task'
  | 'badge-for-task'
  | 'badge-for-action'
  | 'task-to-switch'
  | 'task-to-start'
  | 'shift-in-or-task'
  | 'task-ends-break';

/** Says what the next scan will do. */
export function promptFor({ conversation }: StationState, directory: StationDirectory, now: Instant): Prompt {
  switch (conversation.step) {
    case 'idle':
      return 'badge-or-task';
    case 'intent':
      return conversation.intent.kind === 'work' ? 'badge-for-task' : 'badge-for-action';
    case 'person': {
      const technician = directory.technicians.get(conversation.technician);
      if (!technician) return 'badge-or-task';
      const { shift, doing } = stateAt(directory, technician, now);
      if (doing.status === 'work') return 'task-to-switch';
      if (doing.status === 'break') return 'task-ends-break';
      return shift ? 'task-to-start' : 'shift-in-or-task';
    }
  }
}
