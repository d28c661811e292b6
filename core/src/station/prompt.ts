import { stateAt } from '../floor/index.ts';
import type { Instant } from '../time/index.ts';
import type { StationState } from './conversation.ts';
import type { StationDirectory } from './directory.ts';
import type { Question } from './question.ts';
import type { StationSettings } from './settings.ts';

/** What the next scan will do; the screen always says it. Its words stand in the page's message files. */
export type Prompt =
  | 'badge-or-task'
  | 'badge-to-sign'
  | 'name-or-task'
  | 'badge-for-task'
  | 'badge-for-order'
  | 'badge-for-action'
  | 'task-for-draft'
  | 'task-to-switch'
  | 'task-to-join'
  | 'task-to-start'
  | 'shift-in-or-task'
  | 'task-ends-break'
  | 'crew-badges'
  | 'crew-task'
  | 'crew-ticks'
  | `ask-${Question['kind']}`;

/** Says what the next scan will do. */
export function promptFor(
  { conversation }: StationState,
  directory: StationDirectory,
  settings: StationSettings,
  now: Instant,
): Prompt {
  switch (conversation.step) {
    case 'idle':
      if (settings.kind === 'presence') return 'badge-to-sign';
      return settings.identity === 'names' ? 'name-or-task' : 'badge-or-task';
    case 'intent': {
      const { intent } = conversation;
      if (intent.kind !== 'work') return 'badge-for-action';
      if (intent.target !== undefined) return 'badge-for-task';
      return intent.order === undefined ? 'badge-or-task' : 'badge-for-order';
    }
    case 'asked':
      return `ask-${conversation.question.kind}`;
    case 'crew': {
      if (conversation.lead) return 'crew-ticks';
      return conversation.work?.target === undefined && conversation.members.length > 0
        ? 'crew-task'
        : 'crew-badges';
    }
    case 'person': {
      const technician = directory.technicians.get(conversation.person.technician);
      if (!technician) return 'badge-or-task';
      if (conversation.draft.isJoin) return 'task-to-join';
      if (Object.keys(conversation.draft).length > 0) return 'task-for-draft';
      const { shift, doing } = stateAt(directory, technician, now);
      if (doing.status === 'work') return 'task-to-switch';
      if (doing.status === 'break') return 'task-ends-break';
      return shift || settings.signsIn ? 'task-to-start' : 'shift-in-or-task';
    }
  }
}
