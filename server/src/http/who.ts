import type { Response } from 'express';
import type { Right } from '@wergon/contract/access';
import type { TechnicianId } from '@wergon/core/people';
import type { HoursStyle } from '@wergon/core/time';
import type { Caller } from '@wergon/contract/routes';

/** A paired station, and whose own phone it is. */
export type CallingStation = {
  readonly id: string;
  readonly name: string;
  readonly owner: TechnicianId | null;
};

/** What routes know of the user who calls. */
export type DeskUser = {
  readonly id: string;
  readonly name: string;
  readonly userName: string;
  readonly roles: readonly { readonly id: string; readonly name: string | null }[];
  /** Whether they touch the time of the crew that they lead alone, if no departments or crews are named. */
  readonly isCrewOnly: boolean;
  readonly seesRates: boolean;
  readonly technician?: TechnicianId | null | undefined;
  readonly departments?: readonly string[] | null | undefined;
  readonly crews?: readonly string[] | null | undefined;
  /** Whether they are told of nobody but those whose time they put right. */
  readonly seesOnlyTheirs?: boolean | null | undefined;
  readonly mustChangePassword?: boolean | null | undefined;
  readonly hoursStyle?: HoursStyle | null | undefined;
};

export type DeskWho = {
  readonly kind: 'desk';
  readonly user: DeskUser;
  readonly rights: ReadonlySet<Right>;
  readonly tokenHash: string;
  readonly isTrusted: boolean;
  readonly station: CallingStation | undefined;
};
type StationWho = { readonly kind: 'station'; readonly station: CallingStation };

/** Who is calling. One browser can be a desk and a station at once. */
export type Who = DeskWho | StationWho | { readonly kind: 'nobody'; readonly station: undefined };

/** Who can be calling a route, by what it asks of its caller. */
export type WhoOf<Asked extends Caller> = Asked extends 'public'
  ? Who
  : Asked extends 'station'
    ? StationWho | (DeskWho & { readonly station: CallingStation })
    : DeskWho;

/** Who was let in to answer a request; they were put there when they were. */
export const whoOf = (res: Response): Who => res.locals['who'] as Who;
