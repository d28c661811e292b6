import type { WorkOrderId } from '@wergon/core/work';
import { randomUUID } from 'node:crypto';
import { MOST_ATTACHMENT_BYTES } from '@wergon/contract/work';
import { ok } from '@wergon/core/result';
import type { Context, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { insertOnce } from '../db/index.ts';
import { AttachmentEntity, OrderEntity } from './entities.ts';

const startsWith = (bytes: Buffer, hex: string, offset = 0) =>
  bytes.subarray(offset, offset + hex.length / 2).toString('hex') === hex;

/** What a file is, by its first bytes; what it is called proves nothing. */
export function typeOfBytes(bytes: Buffer) {
  if (startsWith(bytes, '89504e470d0a1a0a')) return 'image/png' as const;
  if (startsWith(bytes, 'ffd8ff')) return 'image/jpeg' as const;
  if (startsWith(bytes, '52494646') && startsWith(bytes, '57454250', 8)) return 'image/webp' as const;
  if (startsWith(bytes, '255044462d')) return 'application/pdf' as const;
  return undefined;
}

/** Papers of one order at the most, and their bytes in all. */
const MOST_OF_AN_ORDER = 40;
const MOST_BYTES_OF_AN_ORDER = 60_000_000;
const sumOf = (papers: readonly { readonly size: number }[]) =>
  papers.reduce((sum, { size }) => sum + size, 0);

/** Routes of pictures and papers that go with an order. */
export function mountAttachments(mount: Mount, { database, clock, live }: Context): void {
  mount('addAttachment', async ({ param, body, who }) => {
    const em = database.em.fork();
    if (!(await em.findOne(OrderEntity, { id: param('order') }))) return refuse('record.not_found');
    const bytes = Buffer.from(body.base64, 'base64');
    if (bytes.length > MOST_ATTACHMENT_BYTES)
      return refuse('input.invalid', [{ field: 'base64', message: 'must not be larger than 5 MB' }]);
    const type = typeOfBytes(bytes);
    if (!type)
      return refuse('input.invalid', [
        { field: 'base64', message: 'is no PNG, JPEG or WebP picture and no PDF' },
      ]);
    const id = body.once ?? randomUUID();
    const sent = { order: param('order'), name: body.name, type, size: bytes.length };
    const own = await em.find(AttachmentEntity, { order: param('order') }, { fields: ['id', 'size'] });
    const others = own.filter((each) => each.id !== id);
    if (others.length >= MOST_OF_AN_ORDER || sumOf(others) + bytes.length > MOST_BYTES_OF_AN_ORDER)
      return refuse('order.too_many_papers');
    const addedBy = who.user.name;
    const row = { id, ...sent, addedAt: clock.now(), addedBy, bytes };
    const isKept = await insertOnce(database.em.fork(), AttachmentEntity, row, sent);
    live.publishSetup();
    return isKept ? ok({ id }) : refuse('record.sent_before');
  });

  const find = (id: string, order: WorkOrderId) =>
    database.em.fork().findOne(AttachmentEntity, { id, order });

  mount('attachment', async ({ param }) => {
    const found = await find(param('attachment'), param('order'));
    if (!found) return refuse('record.not_found');
    return ok({ name: found.name, type: found.type, base64: Buffer.from(found.bytes).toString('base64') });
  });

  mount('removeAttachment', async ({ param }) => {
    const removed = await database.em
      .fork()
      .nativeDelete(AttachmentEntity, { id: param('attachment'), order: param('order') });
    live.publishSetup();
    return removed > 0 ? ok(null) : refuse('record.not_found');
  });
}
