import { Migration } from '@mikro-orm/migrations';
import { nextLeaveStanding } from '@wergon/core/station';
import type { LeaveStanding, LeaveState } from '@wergon/core/station';
import { parseDay } from '@wergon/core/time';

type Row = { readonly id: string; readonly type: string; readonly body: string };
type Body = {
  readonly technician: string;
  readonly leave?: { readonly kind: string; readonly from: string; readonly to: string } | null;
  readonly request: string;
  readonly state?: string | null;
};
const isLeaveState = (state: string | null | undefined): state is LeaveState =>
  state === 'granted' || state === 'refused';
const dayOf = (text: string): number => {
  const read = parseDay(text);
  if (!read.ok) throw new Error(`a day that is none in the journal: ${text}`);
  return read.value;
};

/** Hours a week that people are paid at the least; hours of an absence that takes part of a day; hours a year that people
 *  may be away, by kind; and how the time off stands that people asked for. This file is never changed. */
export class Migration20261205TimeOff extends Migration {
  override async up(): Promise<void> {
    await this.execute(
      `create table if not exists "guarantee" ("technician" text not null, "from_day" integer not null,
       "seconds" integer not null, primary key ("technician", "from_day"))`,
    );
    await this.execute('alter table "absence" add column "seconds" integer null');
    await this.execute(
      `create table "leave_allowance" ("technician" text not null, "year" integer not null, "kind" text not null,
       "seconds" integer not null, primary key ("technician", "year", "kind"))`,
    );
    await this.execute(
      `create table "leave_request" ("request" text not null primary key, "technician" text not null,
       "kind" text not null, "first_day" integer not null, "last_day" integer not null, "seconds" integer null,
       "standing" text not null)`,
    );
    await this.execute('create index "leave_request_technician_index" on "leave_request" ("technician")');
    await this.execute('create index "leave_request_last_day_index" on "leave_request" ("last_day")');
    await this.keepAsked();
  }

  private async keepAsked(): Promise<void> {
    const rows = (await this.execute(
      `select "id", "type", "body" from "journal" where "stream" = 'floor' and "type" in ('request', 'answer')
       order by "seq"`,
    )) as Row[];
    const asked = new Map<string, { readonly body: Body; standing: LeaveStanding }>();
    for (const { id, type, body: text } of rows) {
      // The server wrote it itself.
      const body = JSON.parse(text) as Body;
      if (type === 'request' && body.leave) asked.set(id, { body, standing: 'asked' });
      const known = type === 'answer' ? asked.get(body.request) : undefined;
      if (known && isLeaveState(body.state)) known.standing = nextLeaveStanding(known.standing, body.state);
    }
    for (const [id, { body, standing }] of asked)
      if (body.leave)
        await this.execute('insert into "leave_request" values (?, ?, ?, ?, ?, null, ?)', [
          ...[id, body.technician, body.leave.kind, dayOf(body.leave.from), dayOf(body.leave.to), standing],
        ]);
  }
}
