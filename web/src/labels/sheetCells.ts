import type { ShopJson } from '@wergon/contract/shop';
import type { LabelCell } from '@wergon/core/labels';
import { CALIBRATION_TEXT, titleOfAction } from '@wergon/core/scan';
import { t } from '../words/index.ts';

/** What hangs on the shop's walls, a label each: actions, indirect work, machines, the calibration; nothing of what is no
 *  such sheet. */
export function sheetCells(kind: string, shop: ShopJson | undefined): readonly LabelCell[] {
  switch (kind) {
    case 'actions':
      return (shop?.actions ?? []).map(({ action, code }) => ({
        title: titleOfAction(action),
        detail: '',
        code,
      }));
    case 'indirect':
      return (shop?.activities ?? [])
        .filter(({ isOff }) => !isOff)
        .map(({ title, division, isPaid, code }) => ({
          title,
          detail: [division, isPaid ? '' : t('common.notPaid')].filter(Boolean).join(', '),
          code,
        }));
    case 'machines':
      return (shop?.resources ?? [])
        .filter(({ isOff }) => !isOff)
        .map(({ name, workCenter, code }) => ({ title: name, detail: workCenter, code }));
    case 'calibration':
      return [
        {
          title: t('labels.calibration'),
          detail: t('labels.scanThisOnceAtAStationItLearns'),
          code: CALIBRATION_TEXT,
        },
      ];
    default:
      return [];
  }
}
