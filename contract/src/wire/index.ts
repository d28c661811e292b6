export {
  amountText,
  dayText,
  findIllFormed,
  hoursText,
  idText,
  instantText,
  isIllFormed,
  onceId,
  rateText,
  storedDayText,
  storedInstantText,
  wholeNumber,
} from './values.ts';
